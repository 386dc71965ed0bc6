<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Matching\Verdict;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Telling;
use Telamon\Core\Rules\RuleOutcome;

/** Everything that a plan is made from. The same context gives the same plan, byte for byte. */
final readonly class PlanContext
{
    public Telling $telling;

    /** @param \DateTimeImmutable $today in the business's time zone */
    public function __construct(
        public Inquiry $inquiry,
        public OnFile $onFile,
        public Workplace $desk,
        public \DateTimeImmutable $today,
        public Ruling $ruling = new Ruling(),
        public Amendments $amendments = new Amendments(),
    ) {
        $this->telling = new Telling($today, $this->people(), $onFile->records(), $desk->naming->labels(), $desk->templates, $desk->naming->asset, $desk->phones);
    }

    /** The day in UTC, as days without a time are counted. */
    public function day(): \DateTimeImmutable
    {
        return new \DateTimeImmutable($this->today->format('Y-m-d'), new \DateTimeZone('UTC'));
    }

    /** @return list<array{id: string, number: string, title: string, lead: string, opened: string, service?: string}> projects that what came may belong to, the likeliest first */
    public function openProjects(?KnownClient $client): array
    {
        if (null === $this->inquiry->booked) {
            return $client->openProjects ?? [];
        }
        // What was booked is for work that is open, however long ago it began: of that service, where it is of one.
        $service = $this->inquiry->booked->service;

        return array_values(array_filter($client->allOpen ?? [], static fn (array $open): bool => '' === $service || $open['service'] === $service));
    }

    /** Somebody who is here; null where nobody has the id. */
    public function staff(string $id): ?StaffMember
    {
        return $this->people()[$id] ?? null;
    }

    /**
     * With what the rules that hold say, now that it is known who the client is.
     *
     * @param bool $open whether it is not: a rule that asks does not hold then
     */
    public function ruled(?KnownClient $client, bool $open = false): self
    {
        if ((null === $this->ruling->facts || [] === $this->ruling->book->rules) && '' === $this->amendments->edit('project', 'lead')) {
            return $this;
        }
        $household = Verdict::Household === ($this->onFile->candidates[0] ?? null)?->judgement->verdict;
        $tags = $client->fields['tags'] ?? '';
        $outcome = null === $this->ruling->facts ? new RuleOutcome() : $this->ruling->book->outcome($this->ruling->facts->with([
            '@client' => match (true) {
                $open => '',
                null !== $client => 'known',
                default => $household ? 'household' : 'new',
            },
            '@client_tags' => '' === $tags ? [] : explode("\n", $tags),
        ] + self::ofClient($client)));

        $lead = $this->ruling->book->staff[$this->amendments->edit('project', 'lead')] ?? null;
        if (null !== $lead) {
            $outcome = $outcome->chosen($lead);
        }

        return $this->with($outcome, $this->amendments);
    }

    /** @return array<string, string> what rules may ask of a client on file */
    private static function ofClient(?KnownClient $client): array
    {
        $facts = null === $client ? [] : ['@client.address' => $client->address];
        foreach ($client->fields ?? [] as $field => $value) {
            $facts["@client.$field"] = $value;
        }

        return $facts;
    }

    /** The same, before or with what somebody changed of the plan. */
    public function with(RuleOutcome $outcome, Amendments $amendments): self
    {
        return new self($this->inquiry, $this->onFile, $this->desk, $this->today, $this->ruling->saying($outcome), $amendments);
    }

    /** @return array<string, StaffMember> by id */
    private function people(): array
    {
        return $this->ruling->book->staff + $this->desk->people();
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Form\CustomField;
use Telamon\Core\Form\Purpose;
use Telamon\Core\Form\Reading;
use Telamon\Core\Form\Readings;
use Telamon\Core\Matching\Candidate;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Matching\Verdict;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\SentBefore;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleFacts;
use Telamon\Core\Rules\RuleOutcome;
use Telamon\Core\Time\WorkingDays;

/** Everything that a plan is made from. The same input gives the same plan, byte for byte. */
final readonly class PlanInput
{
    /**
     * @param list<Candidate> $candidates clients on file that it may belong to, the likeliest first
     * @param array<string, ServiceFacts> $services by key
     * @param list<SentBefore> $alreadySent what this submission has led to before, when a plan was accepted and taken back
     * @param array<string, string> $templates subject by key of the message templates
     * @param array<string, CustomField> $customFields by name, “custom.client.size”
     * @param Readings|null $sent of what stood in the form when it was sent out; null where it was not filled in beforehand
     * @param array<string, string> $merge fields for texts of rules beside the answers: what is known of a project that is there already
     * @param Purpose $purpose what the form's submissions do
     * @param \DateTimeImmutable $today in the business's time zone
     */
    public function __construct(
        public Readings $readings,
        public array $candidates,
        public array $services,
        public StaffMember $coordinator,
        public Checklist $baseChecklist,
        public WorkingDays $calendar,
        public string $assetWord,
        public array $templates,
        public array $alreadySent,
        public \DateTimeImmutable $today,
        public array $customFields = [],
        public RuleBook $book = new RuleBook(),
        public ?RuleFacts $facts = null,
        public RuleOutcome $outcome = new RuleOutcome(),
        public Amendments $amendments = new Amendments(),
        public ?Readings $sent = null,
        public array $merge = [],
        public Purpose $purpose = Purpose::Open,
    ) {
    }

    /** The value that was sent out with the form in the place of an answer; null where it was not filled in beforehand. */
    public function sentValue(Reading $reading): ?string
    {
        return $this->sentReading($reading)?->string();
    }

    /** The same as it was written. */
    public function sentText(Reading $reading): ?string
    {
        return $this->sentReading($reading)?->text;
    }

    private function sentReading(Reading $reading): ?Reading
    {
        foreach ($this->sent->all ?? [] as $sent) {
            if ($sent->question->key === $reading->question->key) {
                return $sent;
            }
        }

        return null;
    }

    /**
     * With what the rules that hold say, now that it is known who the client is.
     *
     * @param bool $open whether it is not: a rule that asks does not hold then
     */
    public function ruled(?KnownClient $client, bool $open = false): self
    {
        if ((null === $this->facts || [] === $this->book->rules) && '' === $this->amendments->edit('project', 'lead')) {
            return $this;
        }
        $household = Verdict::Household === ($this->candidates[0] ?? null)?->judgement->verdict;
        $tags = $client->fields['tags'] ?? '';
        $outcome = null === $this->facts ? new RuleOutcome() : $this->book->outcome($this->facts->with([
            '@client' => match (true) {
                $open => '',
                null !== $client => 'known',
                default => $household ? 'household' : 'new',
            },
            '@client_tags' => '' === $tags ? [] : explode("\n", $tags),
        ] + self::ofClient($client)));

        $lead = $this->book->staff[$this->amendments->edit('project', 'lead')] ?? null;
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
        return new self($this->readings, $this->candidates, $this->services, $this->coordinator, $this->baseChecklist, $this->calendar, $this->assetWord, $this->templates, $this->alreadySent, $this->today, $this->customFields, $this->book, $this->facts, $outcome, $amendments, $this->sent, $this->merge, $this->purpose);
    }

    /** The custom field that an answer goes to; null where there is none (any more), or where it cannot hold the answer. */
    public function customField(Reading $reading): ?CustomField
    {
        $record = $reading->question->destination?->customOf();
        $field = null === $record ? null : ($this->customFields["custom.$record.{$reading->question->customField}"] ?? null);

        return null !== $field && \in_array($reading->question->type, $field->kind->fits(), true) ? $field : null;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Importing;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Clients\ContactPoint;
use Telamon\Clients\ContactPoints;
use Telamon\Core\Importing\ImportedClient;
use Telamon\Core\Reading\EmailReader;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Queue\TimeLimit;
use Telamon\Staff\Staff;

/** Writes imported clients, some hundred in a transaction, all under one change that can be taken back. */
final readonly class ImportWriter
{
    private const AT_ONCE = 250;

    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private Profile $business,
        private EmailReader $emails,
        private ContactPoints $points,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param iterable<ImportRow> $rows those that are wrong are passed over
     * @param \Closure(int, string): void|null $progress told how many rows are done, and under which change; within the
     *                                                   transaction that does them, so that what is kept of it is true
     * @param string|null $changeId of an import that was broken off: it goes on under the same change
     */
    public function write(iterable $rows, string $fileName, ?Staff $staff, ?\Closure $progress = null, ?string $changeId = null): Change
    {
        $change = (null === $changeId ? null : $this->em->find(Change::class, $changeId)) ?? $this->changes->change(Act::of(
            ChangeKind::Import,
            "brought in clients from $fileName",
            $staff,
        ));
        $done = 0;
        $chunk = [];
        foreach ($rows as $row) {
            $chunk[] = $row;
            if (self::AT_ONCE === \count($chunk)) {
                $done += \count($chunk);
                $began = hrtime(true);
                $this->chunk($chunk, $change, $done, $progress);
                if (null !== $progress) {
                    // As long as it took: whoever sends a form meanwhile gets the lock in between.
                    TimeLimit::stretch();
                    usleep((int) min(250_000, (hrtime(true) - $began) / 1000));
                }
                $chunk = [];
                $this->em->clear();
                $this->business->reset();
                $change = $this->em->find(Change::class, $change->id) ?? throw new \LogicException('the change is gone');
            }
        }
        $this->chunk($chunk, $change, $done + \count($chunk), $progress);

        return $change;
    }

    /**
     * @param list<ImportRow> $rows
     * @param \Closure(int, string): void|null $progress
     */
    private function chunk(array $rows, Change $change, int $done, ?\Closure $progress): void
    {
        $today = new \DateTimeImmutable($this->clock->now()->setTimezone($this->business->zone())->format('Y-m-d'), new \DateTimeZone('UTC'));
        $this->changes->carryOut($change, function () use ($rows, $today, $change, $done, $progress): void {
            foreach ($rows as $row) {
                match ($row->verdict) {
                    'new', 'doubtful' => $this->make($row->client, $today),
                    'matched' => $this->complete($row->client, $row->clientId),
                    'wrong' => null,
                };
            }
            if (null !== $progress) {
                $progress($done, $change->id);
            }
        });
    }

    private function make(ImportedClient $from, \DateTimeImmutable $today): void
    {
        $client = new Client($from->given, $from->family, $from->address, $today);
        $this->em->persist($client);
        $this->fill($client, $from);
    }

    /** What is on file stays; what is missing there is added. */
    private function complete(ImportedClient $from, string $id): void
    {
        $client = $this->em->find(Client::class, $id);
        if (null === $client) {
            return;
        }
        $this->fill($client, $from);
    }

    private function fill(Client $client, ImportedClient $from): void
    {
        $notes = array_filter([$from->notes, [] === $from->left ? '' : 'As imported: '.implode(', ', $from->left).'.'], static fn (string $note): bool => '' !== $note);
        $client->complete($from->externalId, $from->address, $from->organisation, implode("\n", $notes));
        $known = array_map(static fn (ContactPoint $point): string => $point->matchKey, $client->contactPoints->toArray());
        foreach ($from->emails as $email) {
            if (!\in_array($this->emails->key($email), $known, true)) {
                $this->points->add($client, ContactKind::Email, $email);
            }
        }
        foreach (array_diff($from->phones, $known) as $phone) {
            $this->points->add($client, ContactKind::Phone, $phone);
        }
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Contracts\EventDispatcher\EventDispatcherInterface;
use Telamon\Queue\DueWork;
use Telamon\Record\RecordsRemoved;

/** While a worker runs, once an hour: what was set aside by itself as machine-made, and nobody put back, goes after a set time. */
final readonly class UnwantedSweep implements DueWork
{
    private const HOUR = 3600;
    private const AT_ONCE = 1000;

    /** @param int $days after which it goes; 0 keeps it for ever */
    public function __construct(
        private Connection $db,
        private ClockInterface $clock,
        private EventDispatcherInterface $events,
        #[Autowire(env: 'int:TELAMON_UNWANTED_DAYS')] private int $days,
    ) {
    }

    public function name(): string
    {
        return 'unwanted';
    }

    public function words(): string
    {
        return 'Advertising that was set aside by itself goes after its days';
    }

    public function every(): int
    {
        return self::HOUR;
    }

    public function due(): array
    {
        return $this->days < 1 ? [] : $this->find();
    }

    public function carryOut(string $key): void
    {
        $this->db->transactional(function () use ($key): void {
            // Looked at again under the lock: somebody may have decided on it.
            if ([$key] !== $this->find($key)) {
                return;
            }
            foreach ([
                'attachment' => 'submission_id',
                'arrival_note' => 'submission_id',
                'plan_decision' => 'submission_id',
                'journal_entry' => 'record_id',
                'submission' => 'id',
            ] as $table => $column) {
                $this->db->executeStatement("DELETE FROM $table WHERE $column = ?", [$key]);
            }
            $this->events->dispatch(new RecordsRemoved([$key]));
        });
    }

    /** @return list<string> */
    private function find(string $id = ''): array
    {
        $before = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->modify("-{$this->days} days")->format('Y-m-d H:i:s');
        /** @var list<string> $ids */
        $ids = $this->db->fetchFirstColumn("SELECT id FROM submission s WHERE (? = '' OR id = ?) AND state = 'set-aside' AND aside_reason = 'advertising' AND decided_by_id IS NULL AND decided_at < ?
            AND NOT EXISTS (SELECT 1 FROM submission o WHERE o.continues_id = s.id OR o.same_as_id = s.id) AND NOT EXISTS (SELECT 1 FROM project p WHERE p.submission_id = s.id) LIMIT ".self::AT_ONCE, [$id, $id, $before]);

        return $ids;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Messenger\Event\WorkerRunningEvent;
use Symfony\Contracts\EventDispatcher\EventDispatcherInterface;
use Telamon\Record\RecordsRemoved;

/** While a worker runs, once an hour: what was set aside by itself as machine-made, and nobody put back, goes after a set time. */
#[AsEventListener]
final class UnwantedSweep
{
    private const HOUR = 3600;
    private const AT_ONCE = 200;
    private ?int $last = null;

    /** @param int $days after which it goes; 0 keeps it for ever */
    public function __construct(private readonly Connection $db, private readonly ClockInterface $clock, private readonly EventDispatcherInterface $events, #[Autowire(env: 'int:TELAMON_UNWANTED_DAYS')] private readonly int $days)
    {
    }

    public function __invoke(WorkerRunningEvent $event): void
    {
        $now = $this->clock->now()->getTimestamp();
        if (null === $this->last || abs($now - $this->last) >= self::HOUR) {
            $this->last = $now;
            $this->sweep();
        }
    }

    /** @return int how many went */
    public function sweep(): int
    {
        if ($this->days < 1) {
            return 0;
        }
        $before = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->modify("-{$this->days} days")->format('Y-m-d H:i:s');

        return $this->db->transactional(function () use ($before): int {
            /** @var list<string> $ids */
            $ids = $this->db->fetchFirstColumn("SELECT id FROM submission s WHERE state = 'set-aside' AND aside_reason = 'advertising' AND decided_by_id IS NULL AND decided_at < ?
                AND NOT EXISTS (SELECT 1 FROM submission o WHERE o.continues_id = s.id OR o.same_as_id = s.id) AND NOT EXISTS (SELECT 1 FROM project p WHERE p.submission_id = s.id) LIMIT ".self::AT_ONCE, [$before]);
            foreach (['attachment' => 'submission_id', 'arrival_note' => 'submission_id', 'plan_decision' => 'submission_id', 'journal_entry' => 'record_id', 'submission' => 'id'] as $table => $column) {
                $this->db->executeStatement("DELETE FROM $table WHERE $column IN (?)", [$ids], [ArrayParameterType::STRING]);
            }
            $this->events->dispatch(new RecordsRemoved($ids));

            return \count($ids);
        });
    }
}

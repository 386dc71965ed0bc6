<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Queue\DueWork;

/** The worker moves on whoever's time has come: each in a change of its own, looked at again under the write lock. */
final readonly class FollowUpSweep implements DueWork
{
    private const MOST_AT_ONCE = 1000;

    public function __construct(private EntityManagerInterface $em, private Changes $changes, private Walking $walking, private ClockInterface $clock)
    {
    }

    public function name(): string
    {
        return 'follow-ups';
    }

    public function words(): string
    {
        return 'Follow-ups go on';
    }

    public function every(): int
    {
        return 5;
    }

    public function due(): array
    {
        /** @var list<string> $due */
        $due = $this->em->getConnection()->fetchFirstColumn(
            'SELECT id FROM follow_up_run WHERE state = ? AND due_at <= ? ORDER BY due_at, id LIMIT '.self::MOST_AT_ONCE,
            [RunState::Inside->value, $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s')],
        );

        return $due;
    }

    public function carryOut(string $key): void
    {
        $run = $this->em->find(FollowUpRun::class, $key);
        if (null === $run) {
            return;
        }
        $label = $run->recordLabel();
        $this->changes->carryOut(Act::of(ChangeKind::Send, "went on with $label")->from($run->submissionId)->about($run->client)->looking($run), function () use ($run): void {
            if (RunState::Inside === $run->state && null !== $run->dueAt && $run->dueAt <= $this->clock->now()) {
                $this->walking->due($run);
            }
        });
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Doctrine\ORM\EntityManagerInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Core\Replies\Meaning;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Messages\Incoming;
use Telamon\Messages\IncomingState;
use Telamon\Messages\ReplyLeft;
use Telamon\Staff\Staff;

/** A person says what a reply means. What follows is one change, and can be taken back. */
final readonly class ReplyDeciding
{
    public function __construct(private EntityManagerInterface $em, private Changes $changes, private WhatFollows $follows, private EventDispatcherInterface $events)
    {
    }

    /** @throws DecidedMeanwhile */
    public function decide(Incoming $reply, Meaning $says, Staff $staff): void
    {
        $this->changes->carryOut($this->change("read {$reply->recordLabel()} as {$says->value}", $reply, $staff), function () use ($reply, $says): void {
            $this->refuseDecided($reply);
            $this->follows->carryOut($reply, $says);
            if (IncomingState::Open === $reply->state) {
                // A person has seen it, and has it from here.
                $reply->beDone(IncomingState::Done, ["read as {$says->value} by hand"]);
            }
        });
    }

    /** @throws DecidedMeanwhile */
    public function leave(Incoming $reply, Staff $staff): void
    {
        $this->changes->carryOut($this->change("left {$reply->recordLabel()} as it is", $reply, $staff), function () use ($reply): void {
            $this->refuseDecided($reply);
            $reply->beDone(IncomingState::Left, []);
            $this->events->dispatch(new ReplyLeft($reply));
        });
    }

    private function refuseDecided(Incoming $reply): void
    {
        $this->em->refresh($reply);
        if (IncomingState::Open !== $reply->state) {
            throw new DecidedMeanwhile();
        }
    }

    private function change(string $words, Incoming $reply, Staff $staff): Act
    {
        return Act::of(ChangeKind::Handle, $words, $staff)->about($reply);
    }
}

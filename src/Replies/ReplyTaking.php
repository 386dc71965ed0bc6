<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Doctrine\ORM\EntityManagerInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Business\Profile;
use Telamon\Core\Replies\Asked;
use Telamon\Core\Replies\MailOrigin;
use Telamon\Core\Replies\Meaning;
use Telamon\Core\Replies\ReplyReader;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Messages\Incoming;
use Telamon\Messages\IncomingState;
use Telamon\Messages\Message;
use Telamon\Messages\MessageTemplate;
use Telamon\Messages\ReplyCame;
use Telamon\Staff\Staff;

/** What is done with an answer, by whatever it came: it is written down once, read, and where its meaning is sure, carried out. */
final readonly class ReplyTaking
{
    /** Per cent from which "stop" is nothing but that. */
    private const SURE_STOP = 95;

    public function __construct(
        private EntityManagerInterface $em,
        private ReplyReader $replies,
        private WhatFollows $follows,
        private Changes $changes,
        private EventDispatcherInterface $events,
        private Profile $business,
    ) {
    }

    public function known(string $messageId): ?Incoming
    {
        return $this->em->getRepository(Incoming::class)->findOneBy(['messageId' => $messageId]);
    }

    /**
     * Writes it down, unless it is there already.
     *
     * @param \Closure(): void $write what is written along with it
     *
     * @return Incoming the one that is there
     */
    public function keep(Incoming $one, \Closure $write): Incoming
    {
        $label = $one->recordLabel();
        $act = Act::of(ChangeKind::Receive, "took in $label")->on('reply', $one->id, $label);

        return $this->changes->carryOut($act, function () use ($one, $write): Incoming {
            $known = $this->known($one->messageId);
            if (null !== $known) {
                return $known;
            }
            $write();
            $this->em->persist($one);

            return $one;
        });
    }

    /** Somebody does something with it. */
    public function change(Incoming $one, string $words, Staff $by, \Closure $do): void
    {
        $this->changes->carryOut(Act::of(ChangeKind::Handle, $words, $by)->about($one), $do);
    }

    /** Reads it, and tells whoever waits for it. Call it inside keep(). */
    public function read(Incoming $one): void
    {
        $one->read($this->replies->read($one->whole, $this->asked($one->answers), $one->subject));
        $this->events->dispatch(new ReplyCame($one));
    }

    /** What is sure enough is done without a person, as a change of its own that can be taken back. Until then it waits where people look. */
    public function settle(Incoming $one): Incoming
    {
        if (MailOrigin::Person !== $one->origin || IncomingState::Open !== $one->state || !$one->believed || $one->unsure) {
            return $one;
        }
        // A stop and nothing else is obeyed at once, wherever the business has put its own line.
        $sure = Meaning::Stop === $one->says ? self::SURE_STOP : $this->business->business()->replyThreshold;
        if (Meaning::Other !== $one->says && $one->confidence >= $sure) {
            $this->changes->carryOut(Act::of(ChangeKind::Handle, "read {$one->recordLabel()} as {$one->says->value}")->about($one), function () use ($one): void {
                // Looked at again under the lock: somebody may have read it meanwhile.
                if ($one->isOpen()) {
                    $this->follows->carryOut($one, $one->says);
                }
            });
        }

        return $one;
    }

    /** What the answered letter asked: its template says so; of a letter by hand, and of none, nobody knows. */
    private function asked(?Message $answered): Asked
    {
        return null === $answered ? Asked::Other : $this->em->getRepository(MessageTemplate::class)->findOneBy(['key' => $answered->template])->asks ?? Asked::Other;
    }

    /** One that is taken in again: where the process ended after it was written, "stop" has still to be carried out. */
    public function again(Incoming $known): Incoming
    {
        return Meaning::Stop === $known->says ? $this->settle($known) : $known;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Telamon\Business\StageEnd;
use Telamon\Clients\Client;
use Telamon\Core\FollowUps\Course;
use Telamon\Core\Replies\Meaning;
use Telamon\Diary\AppointmentEvent;
use Telamon\Diary\AppointmentHappened;
use Telamon\Journal\Written;
use Telamon\Messages\AskedToStop;
use Telamon\Messages\Ground;
use Telamon\Messages\NotDelivered;
use Telamon\Messages\ReplyCame;
use Telamon\Messages\ReplyLeft;
use Telamon\Messages\ReplyRead;
use Telamon\Messages\SentAnew;
use Telamon\Projects\Project;
use Telamon\Tasks\Task;
use Telamon\Tasks\TaskCounts;

/** A reply, a booking, a closed project and "stop" change where people stand, in the change that wrote them. */
final readonly class WhatCameBack
{
    public function __construct(private EntityManagerInterface $em, private Walking $walking, private TaskCounts $counts, private ClockInterface $clock)
    {
    }

    #[AsEventListener]
    public function came(ReplyCame $event): void
    {
        foreach ($this->inside($event->reply->client, $event->reply->project) as $run) {
            $run->pause('they answered: somebody reads it', $this->clock->now());
            $event->touch($run);
        }
    }

    #[AsEventListener]
    public function read(ReplyRead $event): void
    {
        $course = match ($event->reply->says) {
            Meaning::Yes => Course::Yes,
            Meaning::No => Course::No,
            Meaning::Later => Course::Later,
            Meaning::Stop => null,
            default => Course::Question,
        };
        foreach ($this->inside($event->reply->client, $event->reply->project) as $run) {
            null === $course ? $run->end('they asked to be left alone', $this->clock->now()) : $this->walking->answered($run, $course, $event->day);
            $event->touch($run);
        }
    }

    /** Nothing more is sent into the void, and somebody finds out why. */
    #[AsEventListener]
    public function notDelivered(NotDelivered $event): void
    {
        $message = $event->message;
        if (Ground::Staff === $message->ground) {
            return;
        }
        foreach ($this->inside($message->client, $message->project) as $run) {
            if (mb_strtolower($run->address) === mb_strtolower($message->toAddress)) {
                $run->holdUndelivered();
                $event->touch($run);
            }
        }
        if (null !== $message->project) {
            $today = new \DateTimeImmutable($this->walking->now()->format('Y-m-d'), new \DateTimeZone('UTC'));
            $this->em->persist($task = new Task(
                $message->project,
                $this->counts->last($message->project) + 1,
                mb_substr("Reach {$message->toName}: “{$message->subject}” did not get to {$message->toAddress}", 0, 200),
                $message->project->lead,
                $today,
                [],
                'Not delivered',
            ));
            $event->touch($task);
        }
    }

    #[AsEventListener]
    public function sentAnew(SentAnew $event): void
    {
        foreach ($this->inside($event->message->client, $event->message->project) as $run) {
            if (mb_strtolower($run->address) === mb_strtolower($event->before)) {
                $run->goOnTo($event->message->toAddress, $this->clock->now());
                $event->touch($run);
            }
        }
    }

    /** Nothing needed to come of what they wrote: it goes on. */
    #[AsEventListener]
    public function left(ReplyLeft $event): void
    {
        foreach ($this->inside($event->reply->client, $event->reply->project) as $run) {
            if (RunState::Paused === $run->state && null === $run->waitsForSubmission) {
                $run->goOn($this->clock->now());
                $event->touch($run);
            }
        }
    }

    #[AsEventListener]
    public function booked(AppointmentHappened $event): void
    {
        if (AppointmentEvent::Booked !== $event->what) {
            return;
        }
        foreach ($this->inside($event->appointment->client, $event->appointment->project) as $run) {
            $this->walking->answered($run, Course::Booked);
            $event->touch($run);
        }
    }

    #[AsEventListener]
    public function stopped(AskedToStop $event): void
    {
        /** @var list<FollowUpRun> $found */
        $found = $this->em->createQueryBuilder()->select('r')->from(FollowUpRun::class, 'r')->where('r.state <> :ended AND (LOWER(r.address) = :address OR r.client = :client)')
            ->setParameter('ended', RunState::Ended->value)->setParameter('address', $event->address)->setParameter('client', $event->client->id ?? '')->getQuery()->getResult();
        foreach ($found as $run) {
            $run->end('they asked to be left alone', $this->clock->now());
            $event->touch($run);
        }
    }

    /** A project that is closed has nothing left to be nudged about. */
    #[AsEventListener]
    public function closed(Written $event): void
    {
        foreach ($event->records as $one) {
            if (!$one->record instanceof Project || StageEnd::Open === $one->record->outcome || !isset($one->after['outcome'])) {
                continue;
            }
            foreach ($this->em->getRepository(FollowUpRun::class)->findBy(['project' => $one->record, 'state' => [RunState::Inside, RunState::Paused]]) as $run) {
                $run->end("{$one->record->number} is closed", $this->clock->now());
                $event->touch($run);
            }
        }
    }

    /** @return list<FollowUpRun> of the client; where both name a project, of that one only */
    private function inside(?Client $client, ?Project $project): array
    {
        if (null === $client) {
            return [];
        }

        return array_values(array_filter(
            $this->em->getRepository(FollowUpRun::class)->findBy(['client' => $client, 'state' => [RunState::Inside, RunState::Paused]]),
            static fn (FollowUpRun $run): bool => null === $project || null === $run->project || $run->project === $project,
        ));
    }
}

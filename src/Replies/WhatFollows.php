<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Business\Profile;
use Telamon\Business\StageEnd;
use Telamon\Core\Replies\Meaning;
use Telamon\Core\Replies\NamedDay;
use Telamon\Messages\Incoming;
use Telamon\Messages\IncomingState;
use Telamon\Messages\ReplyRead;
use Telamon\Messages\Stops;
use Telamon\Projects\Project;
use Telamon\Quotes\Quote;
use Telamon\Quotes\QuoteMails;
use Telamon\Quotes\QuoteState;
use Telamon\Tasks\Task;
use Telamon\Tasks\TaskCounts;

/** What follows when a reply means something: told as lines before, done the same way afterwards. */
final readonly class WhatFollows
{
    /** Days after which somebody who said "later" is asked again. */
    private const LATER = 30;

    public function __construct(
        private EntityManagerInterface $em,
        private QuoteMails $quotes,
        private TaskCounts $counts,
        private Stops $stops,
        private EventDispatcherInterface $events,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /** @return list<string> in words, in order */
    public function lines(Incoming $reply, Meaning $meaning): array
    {
        $project = $this->project($reply);
        $quote = $this->quote($reply, $project);
        $who = $project->lead->name ?? $this->business->coordinator()->name;
        $task = static fn (string $words, string $due = 'today'): string => null === $project ? "waits here for $who: there is no open project for a task" : "gives {$project->lead->name} a task, due $due: {$words}";
        $lines = match ($meaning) {
            Meaning::Yes => null === $quote
                ? [$task($this->words($reply, 'says yes'))]
                : ["sends {$this->sender($reply)} the way to accept {$quote->shown()}, to be signed in a minute"],
            Meaning::No => [$task($this->words($reply, 'says no'))],
            Meaning::Later => [$task(
                $this->again($reply),
                null === $this->named($reply) ? 'in '.self::LATER.' days, as they name no day' : $this->laterOn($reply)->format('D j F Y').', the day that they name',
            )],
            Meaning::Stop => [
                null === $reply->client ? "sends nothing unasked to {$reply->fromAddress} any more" : "sends nothing unasked to {$reply->client->name()} any more, at any address or number",
                'cancels what waits for them',
            ],
            Meaning::Question => [$task($this->words($reply, 'asks'))],
            Meaning::Other => [$task($this->words($reply, 'writes'))],
        };

        return [...$lines, match ($meaning) {
            Meaning::Later => 'lets the nudges wait',
            Meaning::Question, Meaning::Other => 'lets the nudges wait until somebody has answered',
            default => 'ends the nudges',
        }];
    }

    /** Call it inside a change. */
    public function carryOut(Incoming $reply, Meaning $meaning): void
    {
        $done = $this->lines($reply, $meaning);
        $project = $this->project($reply);
        $quote = Meaning::Yes === $meaning ? $this->quote($reply, $project) : null;
        $reply->means($meaning);
        if (Meaning::Stop === $meaning) {
            // They may answer from another address than the one that was written to, and a text may answer a mail: all of them are left alone.
            foreach (array_unique([
                mb_strtolower($reply->fromAddress),
                mb_strtolower($reply->answers->toAddress ?? $reply->fromAddress),
                ...null === $reply->client ? [] : Stops::addressesOf($reply->client),
            ]) as $address) {
                $this->stops->stop($address, $reply->client, 'by a reply', $reply->said);
            }
        } elseif (null !== $quote) {
            $this->quotes->toClient($quote, 'quote-yes')?->answer($reply->messageId);
        } elseif (null !== $project) {
            $today = $this->day($this->clock->now());
            [$name, $due] = match ($meaning) {
                Meaning::Yes => [$this->words($reply, 'says yes'), $today],
                Meaning::No => [$this->words($reply, 'says no'), $today],
                Meaning::Later => [$this->again($reply), $this->laterOn($reply)],
                Meaning::Question => [$this->words($reply, 'asks'), $today],
                default => [$this->words($reply, 'writes'), $today],
            };
            $this->em->persist(new Task($project, $this->counts->last($project) + 1, mb_substr($name, 0, 200), $project->lead, $this->workingDay($due), [], 'Reply'));
        }
        // Nobody has it where there is no project to hang a task on: it stays where people look.
        $open = null === $project && null === $quote && Meaning::Stop !== $meaning;
        $reply->beDone($open ? IncomingState::Open : IncomingState::Done, $open ? [] : $done);
        $this->events->dispatch(new ReplyRead($reply, Meaning::Later === $meaning ? $this->named($reply) : null));
    }

    /** @return \DateTimeImmutable|null the day on which they say that they may be asked again; counted from when they wrote */
    private function named(Incoming $reply): ?\DateTimeImmutable
    {
        $day = (new NamedDay())->read($reply->said, $this->day($reply->receivedAt));

        return null === $day || $day <= $this->day($this->clock->now()) ? null : $day;
    }

    private function laterOn(Incoming $reply): \DateTimeImmutable
    {
        return $this->workingDay($this->named($reply) ?? $this->day($this->clock->now())->modify('+'.self::LATER.' days'));
    }

    /** By the calendar of the business. */
    private function day(\DateTimeImmutable $at): \DateTimeImmutable
    {
        return new \DateTimeImmutable($at->setTimezone($this->business->zone())->format('Y-m-d'), new \DateTimeZone('UTC'));
    }

    private function workingDay(\DateTimeImmutable $day): \DateTimeImmutable
    {
        return $this->business->workingDays()->add($day, 0);
    }

    private function sender(Incoming $reply): string
    {
        return $reply->client?->name() ?? ('' === $reply->fromName ? $reply->fromAddress : $reply->fromName);
    }

    private function words(Incoming $reply, string $what): string
    {
        return "{$this->sender($reply)} $what: “".mb_strimwidth(trim((string) preg_replace('/\s+/u', ' ', $reply->said)), 0, 110, '…').'”';
    }

    private function again(Incoming $reply): string
    {
        return "Ask {$this->sender($reply)} again: they wrote “".mb_strimwidth(trim((string) preg_replace('/\s+/u', ' ', $reply->said)), 0, 80, '…').'”';
    }

    /** The project that it is about, or the open one of its client where there is but one. */
    private function project(Incoming $reply): ?Project
    {
        if (null !== $reply->project) {
            return $reply->project;
        }
        $open = null === $reply->client ? [] : $this->em->getRepository(Project::class)->findBy(['client' => $reply->client, 'outcome' => StageEnd::Open]);

        return 1 === \count($open) ? $open[0] : null;
    }

    /** The quote that waits for a yes, where there is but one. */
    private function quote(Incoming $reply, ?Project $project): ?Quote
    {
        $by = null !== $project ? ['project' => $project] : ['client' => $reply->client];
        $open = null === $project && null === $reply->client
            ? []
            : $this->em->getRepository(Quote::class)->findBy($by + ['state' => array_values(array_filter(
                QuoteState::cases(),
                static fn (QuoteState $state): bool => $state->isOpen(),
            ))]);

        return 1 === \count($open) && '' !== $this->quotes->address($open[0]) ? $open[0] : null;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Queue\DueWork;

/** While the worker runs: quotes that ran out, and reminders before they do. Each once: what was done is kept with the quote, in the same transaction. */
final readonly class QuoteSweep implements DueWork
{
    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private QuoteWriting $writing,
        private QuoteMails $mails,
        private Setups $setups,
        private EventDispatcherInterface $events,
        private ClockInterface $clock,
    ) {
    }

    public function name(): string
    {
        return 'quotes';
    }

    public function words(): string
    {
        return 'Quotes run out; clients are reminded of them';
    }

    public function every(): int
    {
        return 60;
    }

    /** @return list<string> what is done with which quote */
    public function due(): array
    {
        $today = $this->setups->today();
        $days = $this->setups->setup()->nudgeDays;
        $until = (new \DateTimeImmutable($today, new \DateTimeZone('UTC')))->modify("+$days days");
        /** @var list<Quote> $found */
        $found = $this->em->createQueryBuilder()
            ->select('q')
            ->from(Quote::class, 'q')
            ->where('q.state IN (:open) AND (q.validUntil < :today OR (q.validUntil <= :until AND q.nudgedAt IS NULL))')
            ->setParameter(
                'open',
                [QuoteState::Sent->value, QuoteState::Opened->value],
            )->setParameter('until', $until->format('Y-m-d'))->setParameter('today', $today)->orderBy('q.validUntil')->addOrderBy('q.id')->setMaxResults(1000)->getQuery()->getResult();
        $due = [];
        foreach ($found as $quote) {
            if ($quote->validUntil->format('Y-m-d') < $today) {
                $due[] = "expire $quote->id";
            } elseif ($days > 0 && !$quote->isAsked()) {
                $due[] = "nudge $quote->id";
            }
        }

        return $due;
    }

    public function carryOut(string $key): void
    {
        [$what, $id] = explode(' ', $key, 2);
        $quote = $this->em->find(Quote::class, $id);
        if (null !== $quote) {
            'expire' === $what ? $this->expire($quote) : $this->nudge($quote);
        }
    }

    private function expire(Quote $quote): void
    {
        $this->changes->carryOut($this->writing->change("{$quote->shown()} ran out", $quote, null, ChangeKind::Receive)->looking($quote), function () use ($quote): void {
            // It may have been made to last longer meanwhile.
            if ($quote->state->isOpen() && $quote->validUntil->format('Y-m-d') < $this->setups->today()) {
                $quote->beAnswered(QuoteState::Expired, $this->clock->now());
                $this->mails->toLead($quote, 'ran out', '');
                $this->em->flush();
                $this->events->dispatch(new QuoteHappened($quote, QuoteEvent::Expired));
            }
        });
    }

    private function nudge(Quote $quote): void
    {
        $this->changes->carryOut($this->writing->change(
            "reminded {$quote->client->name()} of {$quote->shown()}",
            $quote,
            null,
            ChangeKind::Send,
        )->looking($quote), function () use ($quote): void {
            // Any answer stops it, a question too until that is answered.
            if ($quote->state->isOpen() && null === $quote->nudgedAt && !$quote->isAsked()) {
                $quote->nudge($this->clock->now());
                $this->mails->toClient($quote, 'quote-nudge');
            }
        });
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Messenger\Event\WorkerRunningEvent;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Queue\Every;

/** While the worker runs: quotes that ran out, and reminders before they do. Each once: what was done is kept with the quote, in the same transaction. */
#[AsEventListener]
final class QuoteSweep
{
    private const SECONDS = 60;
    private readonly Every $every;

    public function __construct(private readonly EntityManagerInterface $em, private readonly Changes $changes, private readonly QuoteWriting $writing, private readonly QuoteMails $mails, private readonly Setups $setups, private readonly EventDispatcherInterface $events, private readonly ClockInterface $clock)
    {
        $this->every = new Every(self::SECONDS);
    }

    public function __invoke(WorkerRunningEvent $event): void
    {
        if ($this->every->isDue($this->clock->now())) {
            $this->sweep();
        }
    }

    public function sweep(): void
    {
        $today = $this->setups->today();
        $days = $this->setups->setup()->nudgeDays;
        $until = (new \DateTimeImmutable($today, new \DateTimeZone('UTC')))->modify("+$days days");
        /** @var list<Quote> $found */
        $found = $this->em->createQueryBuilder()->select('q')->from(Quote::class, 'q')->where('q.state IN (:open) AND (q.validUntil < :today OR (q.validUntil <= :until AND q.nudgedAt IS NULL))')
            ->setParameter('open', [QuoteState::Sent->value, QuoteState::Opened->value])->setParameter('until', $until->format('Y-m-d'))->setParameter('today', $today)->orderBy('q.validUntil')->setMaxResults(200)->getQuery()->getResult();
        foreach ($found as $quote) {
            if ($quote->validUntil->format('Y-m-d') < $today) {
                $this->expire($quote);
            } elseif ($days > 0 && !$quote->isAsked()) {
                $this->nudge($quote);
            }
        }
    }

    private function expire(Quote $quote): void
    {
        $this->changes->carryOut($this->writing->change("{$quote->shown()} ran out", $quote, null, ChangeKind::Receive), function () use ($quote): void {
            $this->em->refresh($quote);
            if ($quote->state->isOpen()) {
                $quote->beAnswered(QuoteState::Expired, $this->clock->now());
                $this->mails->toLead($quote, 'ran out', '');
                $this->em->flush();
                $this->events->dispatch(new QuoteHappened($quote, QuoteEvent::Expired));
            }
        });
    }

    private function nudge(Quote $quote): void
    {
        $this->changes->carryOut($this->writing->change("reminded {$quote->client->name()} of {$quote->shown()}", $quote, null, ChangeKind::Send), function () use ($quote): void {
            $this->em->refresh($quote);
            // Any answer stops it, a question too until that is answered.
            if ($quote->state->isOpen() && null === $quote->nudgedAt && !$quote->isAsked()) {
                $quote->nudge($this->clock->now());
                $this->mails->toClient($quote, 'quote-nudge');
            }
        });
    }
}

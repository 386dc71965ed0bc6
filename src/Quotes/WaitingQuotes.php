<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Brick\Math\BigDecimal;
use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;

/** Quotes that wait for a yes, for the day sheet. */
final readonly class WaitingQuotes
{
    private const MOST = 5;

    public function __construct(private EntityManagerInterface $em, private Setups $setups, private Profile $business)
    {
    }

    /** @return array{items: list<array<string, mixed>>, count: int, sum: string} as Today.quotes in the contract */
    public function show(): array
    {
        $today = $this->setups->today();
        /** @var list<Quote> $open */
        $open = $this->em->createQueryBuilder()->select('q', 'c')->from(Quote::class, 'q')->join('q.client', 'c')->where('q.state IN (:open) AND q.validUntil >= :today')
            ->setParameter(
                'open',
                [QuoteState::Sent->value, QuoteState::Opened->value],
            )->setParameter('today', $today)->orderBy('q.validUntil')->addOrderBy('q.number')->setMaxResults(500)->getQuery()->getResult();
        $currency = $this->business->business()->currency;
        $sum = BigDecimal::sum(
            BigDecimal::zero(),
            ...array_map(
                static fn (Quote $quote): BigDecimal => BigDecimal::of($quote->total),
                array_values(array_filter($open, static fn (Quote $quote): bool => $quote->currency === $currency)),
            ),
        );
        $days = static fn (?\DateTimeImmutable $from, \DateTimeImmutable $to): int => null === $from ? 0 : (int) (new \DateTimeImmutable($from->format('Y-m-d')))->diff(new \DateTimeImmutable($to->format('Y-m-d')))
            ->format('%r%a');

        return ['items' => array_map(static fn (Quote $quote): array => [
            'id' => $quote->id, 'number' => $quote->shown(), 'client' => $quote->client->name(),
            'total' => Money::shown($quote->total, $quote->currency), 'daysLeft' => $days(new \DateTimeImmutable($today), $quote->validUntil),
            'days' => $days($quote->issuedOn, $quote->validUntil), 'opened' => QuoteState::Opened === $quote->state,
        ], \array_slice($open, 0, self::MOST)), 'count' => \count($open), 'sum' => Money::shown((string) $sum, $currency)];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Brick\Math\BigDecimal;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\QueryBuilder;
use Psr\Clock\ClockInterface;
use Telamon\Core\Quotes\Chance;
use Telamon\Record\Edit;

/** Quotes by state, with the sums and the chance of a yes from the business's own past. */
final readonly class QuoteList
{
    private const MOST = 500;
    /** Values at which bands part, in units of the currency. */
    private const BANDS = [0, 250, 500, 1000, 2500];
    private const MONTHS = 24;

    public function __construct(private EntityManagerInterface $em, private QuoteView $view, private Setups $setups, private ClockInterface $clock)
    {
    }

    /** @return array<string, mixed> as Quotes in the contract */
    public function show(Edit $asked): array
    {
        /** @var list<Quote> $found */
        $found = $this->asked($asked)->select('q', 'c', 'p', 's')->setMaxResults(self::MOST + 1)->getQuery()->getResult();
        $more = \count($found) > self::MOST;
        $found = \array_slice($found, 0, self::MOST);
        $bands = $this->bands();
        usort($found, fn (Quote $a, Quote $b): int => [$this->next($a)['due'] ?? '9999', $a->number] <=> [$this->next($b)['due'] ?? '9999', $b->number]);
        $rows = array_map(
            fn (Quote $quote): array => $this->view->row($quote) + ['chance' => self::told($bands[self::band($quote->total)]), 'next' => $this->next($quote)],
            $found,
        );

        return [
            'items' => $rows,
            'sums' => $this->sums($asked),
            'bands' => array_map(
                static fn (int $i): array => ['least' => self::BANDS[$i], 'most' => self::BANDS[$i + 1] ?? null] + self::told($bands[$i]),
                array_keys(self::BANDS),
            ),
            'more' => $more,
        ];
    }

    /** @return iterable<list<string>> every one that is asked for, as cells of a file, the heads first */
    public function export(Edit $asked): iterable
    {
        yield ['number', 'client', 'project', 'state', 'total', 'currency', 'sent', 'valid until', 'lead'];
        /** @var iterable<Quote> $all */
        $all = $this->asked($asked)->select('q')->getQuery()->toIterable();
        foreach ($all as $quote) {
            yield [
                $quote->shown(),
                $quote->client->name(),
                $quote->project?->recordLabel() ?? '',
                $this->view->state($quote),
                $quote->total,
                $quote->currency,
                $quote->issuedOn?->format('Y-m-d') ?? '',
                $quote->validUntil->format('Y-m-d'),
                $quote->lead->name,
            ];
        }
    }

    private function asked(Edit $asked): QueryBuilder
    {
        $query = $this->em->createQueryBuilder()
            ->from(Quote::class, 'q')
            ->join('q.client', 'c')
            ->leftJoin('q.project', 'p')
            ->join('q.lead', 's')
            ->orderBy('q.madeAt', 'DESC')
            ->addOrderBy('q.id', 'DESC');
        foreach (['client' => 'q.client', 'project' => 'q.project', 'lead' => 'q.lead'] as $by => $column) {
            $id = $asked->text($by, 36) ?? '';
            if ('' !== $id) {
                $query->andWhere("$column = :$by")->setParameter($by, $id);
            }
        }
        $isOf = null !== ($asked->text('client', 36) ?? $asked->text('project', 36));
        if (!$isOf) {
            // What is decided is of interest for a while, what is replaced is behind what replaced it.
            $query->andWhere('q.state <> :replaced AND (q.answeredAt IS NULL OR q.answeredAt > :since)')
                ->setParameter('replaced', QuoteState::Replaced->value)
                ->setParameter('since', $this->clock->now()->modify('-60 days'), 'datetime_immutable');
        }

        return $query;
    }

    /** @return array{words: string, due: string|null, who: string} what is to be done next with it */
    private function next(Quote $quote): array
    {
        $today = $this->setups->today();
        $until = $quote->validUntil->format('Y-m-d');
        $who = $quote->lead->name;
        $nudge = $quote->validUntil->modify("-{$this->setups->setup()->nudgeDays} days")->format('Y-m-d');

        return match (true) {
            QuoteState::Draft === $quote->state && $quote->toPrice > 0 => [
                'words' => 1 === $quote->toPrice ? 'Price a line' : "Price {$quote->toPrice} lines",
                'due' => $today,
                'who' => $who,
            ],
            QuoteState::Draft === $quote->state => ['words' => 'Send it', 'due' => $today, 'who' => $who],
            !$quote->state->isOpen() => ['words' => '', 'due' => null, 'who' => ''],
            $quote->isAsked() => ['words' => 'Answer the question', 'due' => $today, 'who' => $who],
            $until < $today => ['words' => 'It ran out: ask, or send again', 'due' => $until, 'who' => $who],
            null === $quote->nudgedAt && $this->setups->setup()->nudgeDays > 0 && $nudge > $today => ['words' => 'A reminder leaves', 'due' => $nudge, 'who' => ''],
            default => ['words' => 'Call them', 'due' => $until, 'who' => $who],
        };
    }

    /** @return list<Chance> by value band */
    private function bands(): array
    {
        $since = $this->clock->now()->modify('-'.self::MONTHS.' months')->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
        $yes = $all = array_fill(0, \count(self::BANDS), 0);
        foreach ($this->em->getConnection()->fetchAllNumeric(
            "SELECT total, state FROM quote WHERE answered_at > ? AND state IN ('accepted', 'declined', 'expired')",
            [$since],
        ) as [$total, $state]) {
            $band = self::band(\is_scalar($total) ? (string) $total : '0');
            ++$all[$band];
            $yes[$band] += 'accepted' === $state ? 1 : 0;
        }

        return array_map(static fn (int $yes, int $all): Chance => new Chance($yes, $all), $yes, $all);
    }

    private static function band(string $total): int
    {
        $sum = BigDecimal::of($total);
        for ($i = \count(self::BANDS) - 1; $i > 0; --$i) {
            if ($sum->isGreaterThanOrEqualTo(self::BANDS[$i])) {
                return $i;
            }
        }

        return 0;
    }

    /** @return array{yes: int, all: int, from: int|null, upTo: int|null, guess: bool} percents */
    private static function told(Chance $chance): array
    {
        $interval = $chance->interval();

        return [
            'yes' => $chance->yes,
            'all' => $chance->all,
            'from' => null === $interval ? null : (int) round(100 * $interval[0]),
            'upTo' => null === $interval ? null : (int) round(100 * $interval[1]),
            'guess' => $chance->isGuess(),
        ];
    }

    /** @return list<array{state: string, count: int, sum: string, currency: string}> by state and currency, of all that is asked for: sums of two currencies are none */
    private function sums(Edit $asked): array
    {
        $sums = [];
        /** @var list<array{state: QuoteState, validUntil: \DateTimeImmutable, currency: string, total: string}> $all */
        $all = $this->asked($asked)->select('q.state', 'q.validUntil', 'q.currency', 'q.total')->getQuery()->getArrayResult();
        foreach ($all as $row) {
            $state = QuoteState::shown($row['state'], $row['validUntil'], $this->setups->today());
            $key = "$state $row[currency]";
            $sums[$key] ??= ['state' => $state, 'count' => 0, 'sum' => BigDecimal::zero(), 'currency' => $row['currency']];
            ++$sums[$key]['count'];
            $sums[$key]['sum'] = $sums[$key]['sum']->plus($row['total']);
        }

        return array_map(static fn (array $one): array => ['sum' => Money::shown((string) $one['sum'], $one['currency'])] + $one, array_values($sums));
    }
}

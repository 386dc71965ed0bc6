<?php

declare(strict_types=1);

namespace Telamon\Core\Figures;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Telamon\Core\Form\Counting;
use Telamon\Core\Form\Kinds\Scale;
use Telamon\Core\Form\Question;

/** Counts the answers to one question: choices, figures of a scale, numbers. */
final class AnswerFigures
{
    private const SPANS = 8;

    private int $answered = 0;

    /** @var array<array-key, int> by option */
    private array $counts = [];

    /** @var array<array-key, int> how often each number was given */
    private array $numbers = [];

    public function __construct(private readonly Question $question)
    {
    }

    /** Takes one submission's answer in, blank or not. */
    public function take(mixed $answer): void
    {
        $counted = $this->question->type->counted($this->question, $answer);
        $this->answered([] === $counted ? 0 : 1);
        foreach ($counted as $text) {
            $this->count($text, 1);
        }
    }

    /** @param int $times how many more submissions answered the question at all: a share is of those */
    public function answered(int $times): void
    {
        $this->answered += $times;
    }

    /** @param string $text as QuestionKind::counted() gives it */
    public function count(string $text, int $times): void
    {
        $number = $this->isNumber() ? $this->question->type->number($text) : null;
        if (null !== $number) {
            $this->numbers[(string) $number] = ($this->numbers[(string) $number] ?? 0) + $times;
        }
        if (!$this->isNumber() || $this->isScale()) {
            $this->counts[$text] = ($this->counts[$text] ?? 0) + $times;
        }
    }

    /** @return array{key: string, wording: string, kind: string, answered: int, counts: list<array{label: string, count: int, low: float, high: float}>, numbers: array<string, string|int|null>|null} as in FormFigures of the contract */
    public function toArray(): array
    {
        $spread = Spread::of($this->numbers);

        return [
            'key' => $this->question->key,
            'wording' => $this->question->wording,
            'kind' => $this->question->type::name(),
            'answered' => $this->answered,
            'counts' => $this->isNumber() && !$this->isScale() ? $this->spans($spread) : $this->byChoice(),
            'numbers' => null === $spread ? null : [
                'least' => $spread->percentile('0'),
                'lowerQuarter' => $spread->percentile('0.25'),
                'median' => $spread->percentile('0.5'),
                'upperQuarter' => $spread->percentile('0.75'),
                'most' => $spread->percentile('1'),
                'mean' => $spread->mean(),
                'score' => $this->question->type instanceof Scale ? $this->score() : null,
            ],
        ];
    }

    private function isScale(): bool
    {
        return Counting::Steps === $this->question->type->counting();
    }

    private function isNumber(): bool
    {
        return true === $this->question->type->counting()?->isNumber();
    }

    /** @return list<array{label: string, count: int, low: float, high: float}> in the order offered; what is no longer offered last */
    private function byChoice(): array
    {
        $offered = $this->question->type->offered($this->question);
        $others = array_diff(array_map(strval(...), array_keys($this->counts)), $offered);
        sort($others);

        return array_map(fn (string $value): array => $this->line($this->question->type->labelOf($this->question, $value), $this->counts[$value] ?? 0), [...$offered, ...$others]);
    }

    /** @return list<array{label: string, count: int, low: float, high: float}> spans of equal width, at most eight */
    private function spans(?Spread $spread): array
    {
        if (null === $spread) {
            return [];
        }
        $width = self::width($spread->most()->minus($spread->least()));
        $from = $spread->least()->dividedBy($width, 0, RoundingMode::Floor)->multipliedBy($width);
        $counts = [];
        foreach ($this->numbers as $number => $times) {
            $span = BigDecimal::of($number)->minus($from)->dividedBy($width, 0, RoundingMode::Floor)->toInt();
            $counts[$span] = ($counts[$span] ?? 0) + $times;
        }
        $lines = [];
        for ($i = 0; $i <= max([0, ...array_keys($counts)]); ++$i) {
            $low = $from->plus($width->multipliedBy($i));
            $lines[] = $this->line(self::words($low).' to under '.self::words($low->plus($width)), $counts[$i] ?? 0);
        }

        return $lines;
    }

    /** A round width (1, 2 or 5 and noughts) that makes at most eight spans of a range. */
    private static function width(BigDecimal $range): BigDecimal
    {
        $width = BigDecimal::of('0.01');
        for ($i = 0; $range->isGreaterThanOrEqualTo($width->multipliedBy(self::SPANS)); ++$i) {
            $width = $width->multipliedBy(1 === $i % 3 ? '2.5' : '2');
        }

        return $range->isZero() ? BigDecimal::one() : $width;
    }

    private static function words(BigDecimal $number): string
    {
        return (string) $number->strippedOfTrailingZeros();
    }

    /** @return array{label: string, count: int, low: float, high: float} */
    private function line(string $label, int $count): array
    {
        [$low, $high] = Wilson::interval($count, $this->answered);

        return ['label' => $label, 'count' => $count, 'low' => round($low, 4), 'high' => round($high, 4)];
    }

    /** Share of 9 and 10 less share of 0 to 6, in hundredths (F. F. Reichheld, Harvard Business Review, December 2003). */
    private function score(): int
    {
        $count = fn (\Closure $counts): int => array_sum(array_filter(
            $this->numbers,
            static fn (int|string $number): bool => $counts(BigDecimal::of($number)),
            \ARRAY_FILTER_USE_KEY,
        ));
        $for = $count(static fn (BigDecimal $n): bool => $n->isGreaterThanOrEqualTo(9));
        $against = $count(static fn (BigDecimal $n): bool => $n->isLessThanOrEqualTo(6));

        return BigDecimal::of(100 * ($for - $against))->dividedBy(array_sum($this->numbers), 0, RoundingMode::HalfUp)->toInt();
    }
}

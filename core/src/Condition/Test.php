<?php

declare(strict_types=1);

namespace Telamon\Core\Condition;

/**
 * One question about one answer. A blank answer makes every test but “is blank” fail; so does a number or day
 * that cannot be read, on either side.
 */
final readonly class Test implements Condition
{
    /** @param list<string> $values as many as the operator takes */
    public function __construct(public string $question, public Operator $operator, public array $values)
    {
    }

    public function holds(Facts $facts): bool
    {
        $texts = $facts->texts($this->question);
        if (Operator::IsBlank === $this->operator) {
            return [] === $texts;
        }
        if ([] === $texts) {
            return false;
        }

        return match ($this->operator) {
            Operator::Is, Operator::IsOneOf => [] !== array_intersect(array_map(self::plain(...), $texts), array_map(self::plain(...), $this->values)),
            Operator::Contains => $this->contains($texts),
            Operator::HasWord => self::hasWords($texts, \array_slice($this->values, 0, 1)),
            Operator::HasNoneOf => !self::hasWords($texts, $this->values),
            Operator::MoreThan, Operator::AtMost => $this->compares($facts),
            Operator::Before, Operator::After => $this->isBeforeOrAfter($facts),
            Operator::WithinDays => $this->isWithinDays($facts),
            Operator::Between => $this->isBetween($facts),
        };
    }

    public function questions(): array
    {
        return [$this->question];
    }

    public function tests(): array
    {
        return [$this];
    }

    /** @param list<string> $texts */
    private function contains(array $texts): bool
    {
        $wanted = self::plain($this->values[0] ?? '');
        foreach ($texts as $text) {
            if (str_contains(self::plain($text), $wanted)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether one of these stands in one of the texts, in whole words next to each other; case aside.
     *
     * @param list<string> $texts
     * @param list<string> $wanted
     */
    private static function hasWords(array $texts, array $wanted): bool
    {
        $words = static fn (string $text): string => ' '.trim((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', self::plain($text))).' ';
        foreach ($wanted as $one) {
            foreach ('  ' === $words($one) ? [] : $texts as $text) {
                if (str_contains($words($text), $words($one))) {
                    return true;
                }
            }
        }

        return false;
    }

    private function compares(Facts $facts): bool
    {
        $number = $facts->number($this->question);
        $bound = Facts::asNumber($this->values[0] ?? '');
        if (null === $number || null === $bound) {
            return false;
        }

        return Operator::MoreThan === $this->operator ? $number->isGreaterThan($bound) : $number->isLessThanOrEqualTo($bound);
    }

    private function isBeforeOrAfter(Facts $facts): bool
    {
        $day = $facts->day($this->question);
        $bound = $this->bound($this->values[0] ?? '', $facts);
        if (null === $day || null === $bound) {
            return false;
        }

        return Operator::Before === $this->operator ? $day < $bound : $day > $bound;
    }

    private function isWithinDays(Facts $facts): bool
    {
        $day = $facts->day($this->question);
        $days = $this->values[0] ?? '';
        if (null === $day || 1 !== preg_match('/^\d{1,4}$/', $days)) {
            return false;
        }

        return $day >= $facts->today && $day <= (new \DateTimeImmutable($facts->today, new \DateTimeZone('UTC')))->modify("+$days days")->format('Y-m-d');
    }

    private function isBetween(Facts $facts): bool
    {
        [$low, $high] = [$this->values[0] ?? '', $this->values[1] ?? ''];
        $number = $facts->number($this->question);
        [$from, $to] = [Facts::asNumber($low), Facts::asNumber($high)];
        if (null !== $number && null !== $from && null !== $to) {
            return $number->isGreaterThanOrEqualTo($from) && $number->isLessThanOrEqualTo($to);
        }
        $day = $facts->day($this->question);
        [$from, $to] = [$this->bound($low, $facts), $this->bound($high, $facts)];

        return null !== $day && null !== $from && null !== $to && $day >= $from && $day <= $to;
    }

    /** A day that is named, ISO 8601, or “today”. */
    private function bound(string $text, Facts $facts): ?string
    {
        if ('today' === $text) {
            return $facts->today;
        }

        return 1 === preg_match('/^\d{4}-\d{2}-\d{2}$/', $text) ? $text : null;
    }

    private static function plain(string $text): string
    {
        return mb_strtolower(trim($text));
    }
}

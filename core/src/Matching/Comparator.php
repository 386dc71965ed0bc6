<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

use Telamon\Core\Text\JaroWinkler;

/** Compares two people field by field. */
final readonly class Comparator
{
    /** From this Jaro–Winkler similarity on, two words are as alike as typing errors leave them. */
    private const NEAR = 0.88;

    public function __construct(private ShortForms $forms, private Commonness $commonness = new NothingCounted())
    {
    }

    /** @return array<string, Level> by the value of Field */
    public function compare(Person $a, Person $b): array
    {
        [$here, $there] = self::nearest($a, $b);

        return $this->names($a, $b) + [
            Field::Email->value => $this->emails($a->emails, $b->emails),
            Field::Phone->value => $this->phones($a->phones, $b->phones),
            Field::Address->value => self::address($here, $there),
            Field::Area->value => self::area($here, $there),
            Field::Organisation->value => self::words($a->organisation, $b->organisation),
        ];
    }

    /** @return array<string, Level> given, family, and whether the two were swapped */
    private function names(Person $a, Person $b): array
    {
        $given = $this->given($a->given, $b->given);
        $family = self::family($a->family, $b->family);
        if ($given->agrees() && $family->agrees()) {
            return [Field::Given->value => $given, Field::Family->value => $family, Field::Order->value => Level::Same];
        }
        $swappedGiven = $this->given([implode('', $a->given)], [implode('', $b->family)]);
        $swappedFamily = self::family($a->family, $b->given);
        if (\in_array($swappedGiven, [Level::Same, Level::Form, Level::Near], true) && \in_array($swappedFamily, [Level::Same, Level::Near], true)) {
            return [Field::Given->value => $swappedGiven, Field::Family->value => $swappedFamily, Field::Order->value => Level::Different];
        }

        return [Field::Given->value => $given, Field::Family->value => $family, Field::Order->value => Level::Same];
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    private function given(array $a, array $b): Level
    {
        if ('' === ($a[0] ?? '') || '' === ($b[0] ?? '')) {
            return Level::Missing;
        }
        if ($a === $b || $a[0] === $b[0] && 1 < \strlen($a[0])) {
            return Level::Same;
        }
        if (1 === \strlen($a[0]) || 1 === \strlen($b[0])) {
            // Of somebody known by a second name, the second name may be written.
            return $a[0][0] === $b[0][0] ? Level::Initial : (self::anyStartsWith($a, $b) ? Level::Initial : Level::Different);
        }
        if ($this->forms->same($a[0], $b[0])) {
            return Level::Form;
        }
        if (\in_array($a[0], \array_slice($b, 1), true) || \in_array($b[0], \array_slice($a, 1), true)) {
            return Level::Part;
        }
        if (!self::near($a[0], $b[0])) {
            return implode('', $a) === implode('', $b) ? Level::Same : Level::Different;
        }

        return $this->forms->knows($a[0]) && $this->forms->knows($b[0]) ? Level::Other : Level::Near;
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    private static function anyStartsWith(array $a, array $b): bool
    {
        [$short, $long] = 1 === \strlen($a[0]) ? [$a[0], $b] : [$b[0], $a];
        foreach (\array_slice($long, 1) as $word) {
            if ($word[0] === $short) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    private static function family(array $a, array $b): Level
    {
        $one = implode('', $a);
        $other = implode('', $b);
        if ('' === $one || '' === $other) {
            return Level::Missing;
        }
        if ($one === $other) {
            return Level::Same;
        }
        if (1 === \strlen($one) || 1 === \strlen($other)) {
            return $one[0] === $other[0] ? Level::Initial : Level::Different;
        }
        if (self::near($one, $other)) {
            return Level::Near;
        }
        foreach ($a as $word) {
            if (\strlen($word) > 3 && \in_array($word, $b, true)) {
                return Level::Part;
            }
        }

        return Level::Different;
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    private function emails(array $a, array $b): Level
    {
        if ([] === $a || [] === $b) {
            return Level::Missing;
        }
        $same = array_values(array_intersect($a, $b));
        if ([] !== $same) {
            return $this->commonness->sharedBy($same[0]) > 1 ? Level::Shared : Level::Same;
        }
        $best = Level::Different;
        foreach ($a as $one) {
            foreach ($b as $other) {
                // A number behind a name is how the next person of that name gets an address: no slip.
                if (self::oneSlip($one, $other) && preg_replace('/\d/', '', $one) !== preg_replace('/\d/', '', $other)) {
                    return Level::Near;
                }
                $local = strstr($one, '@', true);
                if (false !== $local && \strlen($local) > 5 && $local === strstr($other, '@', true)) {
                    $best = Level::LocalPart;
                }
            }
        }

        return $best;
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    private function phones(array $a, array $b): Level
    {
        if ([] === $a || [] === $b) {
            return Level::Missing;
        }
        $same = array_values(array_intersect($a, $b));
        if ([] !== $same) {
            return $this->commonness->sharedBy($same[0]) > 1 ? Level::Shared : Level::Same;
        }
        foreach ($a as $one) {
            foreach ($b as $other) {
                if (self::oneSlip($one, $other)) {
                    return Level::Near;
                }
            }
        }

        return Level::Different;
    }

    /** One sign wrong, missing or doubled, or two next to each other changed about. */
    private static function oneSlip(string $a, string $b): bool
    {
        $length = \strlen($a);
        if (abs($length - \strlen($b)) > 1 || $length < 7) {
            return false;
        }
        if (1 === levenshtein($a, $b)) {
            return true;
        }
        if ($length !== \strlen($b)) {
            return false;
        }
        $i = 0;
        while ($i < $length - 1 && $a[$i] === $b[$i]) {
            ++$i;
        }

        return $i < $length - 1 && $a[$i] === $b[$i + 1] && $a[$i + 1] === $b[$i] && substr($a, $i + 2) === substr($b, $i + 2);
    }

    /**
     * Of all the places where the two are found, those that agree most: where the work is done need not be where
     * somebody lives.
     *
     * @return array{Person, Person}
     */
    private static function nearest(Person $a, Person $b): array
    {
        $nearest = [$a->places()[0], $b->places()[0]];
        $best = -1;
        foreach ($a->places() as $here) {
            foreach ($b->places() as $there) {
                $agree = 2 * self::closeness(self::address($here, $there)) + (self::area($here, $there)->agrees() ? 1 : 0);
                if ($agree > $best) {
                    [$best, $nearest] = [$agree, [$here, $there]];
                }
            }
        }

        return $nearest;
    }

    private static function closeness(Level $level): int
    {
        return match ($level) {
            Level::Same => 3,
            Level::Near => 2,
            Level::Part => 1,
            default => 0,
        };
    }

    private static function address(Person $a, Person $b): Level
    {
        if (!$a->hasAddress() || !$b->hasAddress()) {
            return Level::Missing;
        }
        $street = self::words($a->street, $b->street);
        // Another figure is another house, however close.
        if (((int) $a->houseNumber === (int) $b->houseNumber || '' === $a->houseNumber || '' === $b->houseNumber) && self::oneSlip($a->line, $b->line)) {
            return Level::Near;
        }
        if ($a->houseNumber === $b->houseNumber) {
            return match (true) {
                // A house name alone is an address; a house number alone is none.
                Level::Same === $street && '' !== $a->street => Level::Same,
                Level::Near === $street => Level::Near,
                default => Level::Different,
            };
        }
        // One figure of the number wrong or left out.
        $close = '' !== $a->houseNumber
            && '' !== $b->houseNumber
            && 1 === levenshtein($a->houseNumber, $b->houseNumber)
            && max(\strlen($a->houseNumber), \strlen($b->houseNumber)) > 1;

        return Level::Same === $street && ($close || '' === $a->houseNumber || '' === $b->houseNumber) ? Level::Part : Level::Different;
    }

    /** Postal code where both have one, or else the town. */
    private static function area(Person $a, Person $b): Level
    {
        if ('' !== $a->postalCode && '' !== $b->postalCode) {
            return match (true) {
                $a->postalCode === $b->postalCode => Level::Same,
                self::near($a->postalCode, $b->postalCode) && \strlen($a->postalCode) > 4 && 1 === levenshtein($a->postalCode, $b->postalCode) => Level::Near,
                '' !== $a->locality && $a->locality === $b->locality => Level::Part,
                default => Level::Different,
            };
        }
        if ('' === $a->locality || '' === $b->locality) {
            return Level::Missing;
        }

        return $a->locality === $b->locality || self::near($a->locality, $b->locality) ? Level::Town : Level::Different;
    }

    private static function words(string $a, string $b): Level
    {
        return match (true) {
            '' === $a || '' === $b => Level::Missing,
            $a === $b => Level::Same,
            self::near($a, $b) || (\strlen($a) > 3 && \strlen($b) > 3 && (str_starts_with($a, "$b ") || str_starts_with($b, "$a "))) => Level::Near,
            default => Level::Different,
        };
    }

    private static function near(string $a, string $b): bool
    {
        // Two words of very unlike length cannot come that near; it saves the comparison.
        return abs(\strlen($a) - \strlen($b)) <= 4 && JaroWinkler::similarity($a, $b) >= self::NEAR;
    }
}

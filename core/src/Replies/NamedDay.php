<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/**
 * The day that somebody names who says "later": counted ("in three weeks"), the coming week, month or year, or a month
 * by its name, which means its first day. English, German and French. What it does not know it leaves to whoever asks.
 */
final class NamedDay
{
    private const NUMBERS = [
        'a' => 1, 'an' => 1, 'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'eight' => 8, 'ten' => 10, 'a couple of' => 2, 'a few' => 3, 'some' => 3,
        'einem' => 1, 'einer' => 1, 'zwei' => 2, 'drei' => 3, 'vier' => 4, 'fünf' => 5, 'sechs' => 6, 'acht' => 8, 'zehn' => 10, 'ein paar' => 3, 'einigen' => 3,
        'un' => 1, 'une' => 1, 'deux' => 2, 'trois' => 3, 'quatre' => 4, 'cinq' => 5, 'huit' => 8, 'dix' => 10, 'quelques' => 3,
    ];

    private const UNITS = [
        'day' => 'day', 'days' => 'day', 'tag' => 'day', 'tagen' => 'day', 'jour' => 'day', 'jours' => 'day',
        'week' => 'week', 'weeks' => 'week', 'woche' => 'week', 'wochen' => 'week', 'semaine' => 'week', 'semaines' => 'week',
        'month' => 'month', 'months' => 'month', 'monat' => 'month', 'monaten' => 'month', 'mois' => 'month',
        'year' => 'year', 'years' => 'year', 'jahr' => 'year', 'jahren' => 'year', 'an' => 'year', 'ans' => 'year', 'année' => 'year',
    ];

    private const MONTHS = [
        'january' => 1, 'february' => 2, 'march' => 3, 'april' => 4, 'may' => 5, 'june' => 6, 'july' => 7, 'august' => 8, 'september' => 9,
        'october' => 10, 'november' => 11, 'december' => 12,
        'januar' => 1, 'jänner' => 1, 'februar' => 2, 'märz' => 3, 'mai' => 5, 'juni' => 6, 'juli' => 7, 'oktober' => 10, 'dezember' => 12,
        'janvier' => 1, 'février' => 2, 'mars' => 3, 'avril' => 4, 'juin' => 6, 'juillet' => 7, 'août' => 8, 'septembre' => 9, 'octobre' => 10, 'novembre' => 11, 'décembre' => 12,
    ];

    /**
     * @param string $said without what was repeated
     * @param \DateTimeImmutable $today a day by the calendar of the business
     *
     * @return \DateTimeImmutable|null after today, within two years; null where no day is named, or more than one
     */
    public function read(string $said, \DateTimeImmutable $today): ?\DateTimeImmutable
    {
        $text = mb_strtolower((string) preg_replace('/\s+/u', ' ', $said));
        $found = [];
        foreach ([...$this->counted($text, $today), ...$this->coming($text, $today), ...$this->months($text, $today)] as $day) {
            if ($day > $today && $day <= $today->modify('+2 years')) {
                $found[$day->format('Y-m-d')] = $day;
            }
        }

        return 1 === \count($found) ? array_values($found)[0] : null;
    }

    /** @return list<\DateTimeImmutable> */
    private function counted(string $text, \DateTimeImmutable $today): array
    {
        $numbers = implode('|', array_map(preg_quote(...), array_keys(self::NUMBERS)));
        $units = implode('|', array_keys(self::UNITS));
        preg_match_all("/\\b(?:in|after|nach|dans|d['’]ici) (?:about |etwa |ca\\. ?|environ )?(\\d{1,3}|$numbers) ($units)\\b/u", $text, $parts, \PREG_SET_ORDER);
        $days = [];
        foreach ($parts as [, $number, $unit]) {
            $n = ctype_digit($number) ? (int) $number : self::NUMBERS[$number];
            $days[] = self::later($today, $n, self::UNITS[$unit]);
        }

        return $days;
    }

    /** @return list<\DateTimeImmutable> the Monday of next week, the first of next month, the first days of next year */
    private function coming(string $text, \DateTimeImmutable $today): array
    {
        $days = [];
        foreach ([
            'monday next week' => '/\bnext week\b|\bnächste(?:r|n)? woche\b|\bla semaine prochaine\b/u',
            'first day of next month' => '/\bnext month\b|\bnächste(?:r|n)? monat\b|\ble mois prochain\b/u',
            'first day of january next year' => '/\bnext year\b|\bin the new year\b|\bafter (?:christmas|the holidays)\b|\bnächstes jahr\b|\bim neuen jahr\b|\bnach (?:weihnachten|den feiertagen)\b|\bl[\'’]année prochaine\b|\baprès (?:noël|les fêtes)\b/u',
        ] as $day => $pattern) {
            if (1 === preg_match($pattern, $text)) {
                $days[] = $today->modify($day);
            }
        }

        return $days;
    }

    /** @return list<\DateTimeImmutable> the first day of a month that is named; of the one after where they say "after" */
    private function months(string $text, \DateTimeImmutable $today): array
    {
        $names = implode('|', array_keys(self::MONTHS));
        preg_match_all(
            "/\\b(in|around|until|till|by|after|before|im|bis|ab|nach|en|vers|après|à partir de)(?: the end of| ende| fin| early| late| mid-?| anfang| mitte)? ($names)\\b/u",
            $text,
            $parts,
            \PREG_SET_ORDER,
        );
        $days = [];
        foreach ($parts as [, $how, $name]) {
            $month = self::MONTHS[$name] + (\in_array($how, ['after', 'nach', 'après'], true) ? 1 : 0);
            $first = $today->setDate((int) $today->format('Y'), $month, 1);
            $days[] = $first > $today ? $first : $first->modify('+1 year');
        }

        return $days;
    }

    private static function later(\DateTimeImmutable $today, int $n, string $unit): \DateTimeImmutable
    {
        if ('month' !== $unit) {
            return $today->modify("+$n $unit");
        }
        // The same day of that month, or its last one.
        $first = $today->modify('first day of this month')->modify("+$n months");

        return $first->modify('+'.(min((int) $today->format('j'), (int) $first->format('t')) - 1).' days');
    }
}

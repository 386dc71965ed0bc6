<?php

declare(strict_types=1);

namespace Telamon\Core\Day;

/** What stands out of a day: only what the numbers carry, what cannot wait first. */
final readonly class StandsOut
{
    /** Days that say what is usual; fewer say nothing. */
    private const LEAST_DAYS = 7;
    /** Less than so many is no crowd, however few are usual. */
    private const LEAST_CROWD = 5;

    /** @return list<array{words: string, leads: 'arrivals'|'diary'|'messages'|'tasks'|'setup'}> */
    public function of(Standing $day): array
    {
        return array_values(array_filter([
            ...array_map(static fn (string $what): array => ['words' => $what, 'leads' => 'setup'], $day->stuck),
            ...array_map(static fn (string $clash): array => ['words' => $clash, 'leads' => 'diary'], $day->clashes),
            ...array_map(static fn (string $visit): array => ['words' => "$visit is confirmed, and is on no client.", 'leads' => 'diary'], $day->unknown),
            ...array_map(
                static fn (string $to): array => ['words' => "$to is answered by itself no more: perhaps a machine answers there.", 'leads' => 'messages'],
                $day->silenced,
            ),
            self::over($day->over),
            0 === $day->failed ? null : ['words' => self::many($day->failed, 'mail').' could not be sent.', 'leads' => 'messages'],
            0 === $day->wishes ? null : ['words' => self::many($day->wishes, 'client').' '.(1 === $day->wishes ? 'asks' : 'ask').' to change a visit.', 'leads' => 'diary'],
            0 === $day->decide ? null : ['words' => self::many($day->decide, 'plan').' '.(1 === $day->decide ? 'waits' : 'wait').' for a decision.', 'leads' => 'arrivals'],
            self::late($day->late),
            0 === $day->unmarked ? null : ['words' => self::many($day->unmarked, 'visit').' '.(1 === $day->unmarked ? 'is' : 'are').' over: held, or missed?', 'leads' => 'diary'],
            self::crowd($day->came),
        ]));
    }

    /**
     * @param list<int> $over
     *
     * @return array{words: string, leads: 'arrivals'}|null
     */
    private static function over(array $over): ?array
    {
        if ([] === $over) {
            return null;
        }
        $most = max($over);
        $long = $most < 60 ? "$most min" : intdiv($most, 60).' h'.(0 === $most % 60 ? '' : ' '.($most % 60));

        return ['words' => 1 === \count($over) ? "One answer is $long late." : \count($over)." answers are late, the longest by $long.", 'leads' => 'arrivals'];
    }

    /**
     * @param array<string, int> $late
     *
     * @return array{words: string, leads: 'tasks'}|null
     */
    private static function late(array $late): ?array
    {
        $all = array_sum($late);
        if ([] === $late || 0 === $all) {
            return null;
        }
        arsort($late);
        $who = array_key_first($late);
        $most = max($late);
        // One of many of equal share does not stand out.
        $isMost = \count($late) > 1 && 2 * $most > $all;

        return [
            'words' => self::many($all, 'task').' '.(1 === $all ? 'is' : 'are').' late'.(1 === \count($late) ? ', '.(1 === $all ? 'it is' : 'all of them').' '.self::whose($who) : ($isMost ? ", $most of them ".self::whose($who) : '')).'.',
            'leads' => 'tasks',
        ];
    }

    /**
     * Yesterday beside the days before it: their median, as one wild day makes a mean wild.
     *
     * @param list<int> $came
     *
     * @return array{words: string, leads: 'arrivals'}|null
     */
    private static function crowd(array $came): ?array
    {
        $yesterday = array_pop($came) ?? 0;
        if (\count($came) < self::LEAST_DAYS) {
            return null;
        }
        sort($came);
        $middle = intdiv(\count($came), 2);
        $usual = 0 === \count($came) % 2 ? ($came[$middle - 1] + $came[$middle]) / 2 : $came[$middle];

        return $yesterday >= self::LEAST_CROWD && $yesterday > 2 * $usual
            ? [
                'words' => "$yesterday came yesterday; ".($usual < 0.5 ? 'on most days nobody does' : 'usually '.rtrim(rtrim(number_format($usual, 1), '0'), '.')).'.',
                'leads' => 'arrivals',
            ]
            : null;
    }

    private static function many(int $count, string $what): string
    {
        return 1 === $count ? "One $what" : "$count {$what}s";
    }

    private static function whose(string $name): string
    {
        return str_ends_with($name, 's') ? "{$name}’" : "{$name}’s";
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** Chooses whose appointment it becomes, where several could take it. */
final class WhoGetsIt
{
    /**
     * @param non-empty-list<list<string>> $crews ids
     * @param array<string, Candidate> $known by id
     *
     * @return list<string> the crew that gets it; ties go by name
     */
    public function of(array $crews, Picks $picks, array $known): array
    {
        $rank = static fn (array $crew): array => array_map(static fn (string $id): array => self::rank($known[$id] ?? new Candidate($id, $id), $picks), $crew);
        usort($crews, static fn (array $a, array $b): int => $rank($a) <=> $rank($b));

        return $crews[0];
    }

    /** @return list<int|string> the smaller, the sooner */
    private static function rank(Candidate $one, Picks $picks): array
    {
        return match ($picks) {
            Picks::Turns => [$one->last, $one->name, $one->id],
            Picks::Fewest => [$one->week, $one->name, $one->id],
            Picks::Earlier => [$one->earlier ? 0 : 1, $one->last, $one->name, $one->id],
        };
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

use Telamon\Core\People\StaffMember;

/** Chooses somebody of several: by turns, or whoever has the fewest open tasks. */
final readonly class Turns
{
    public const ROTA = 'rota';
    public const FEWEST = 'fewest';
    /** How one of several is chosen, in words. */
    public const WORDS = [self::ROTA => 'by turns, of', self::FEWEST => 'whoever has the fewest open tasks, of'];

    /**
     * @param array<string, string> $last who had the last turn, by place: an action of a rule
     * @param array<string, int> $open how many open tasks somebody has, by id
     */
    public function __construct(private array $last = [], private array $open = [])
    {
    }

    /**
     * @param list<StaffMember> $among in the order of turns; of two that have as few, the first counts
     *
     * @return StaffMember|null null where nobody is there
     */
    public function choose(string $how, string $place, array $among): ?StaffMember
    {
        if ([] === $among) {
            return null;
        }
        if (self::FEWEST === $how) {
            $found = $among[0];
            foreach ($among as $member) {
                if (($this->open[$member->id] ?? 0) < ($this->open[$found->id] ?? 0)) {
                    $found = $member;
                }
            }

            return $found;
        }
        $at = array_search($this->last[$place] ?? '', array_map(static fn (StaffMember $member): string => $member->id, $among), true);

        return $among[false === $at ? 0 : ($at + 1) % \count($among)];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

use Telamon\Core\People\StaffMember;

/** Those who may do the tasks of a project, and who had which last. */
final readonly class Crew
{
    /**
     * @param array<string, StaffMember> $people whoever is here, by id
     * @param array<string, array<string, string>> $newest by full key of an item, by id of staff, what sorts as the time of the newest such task
     * @param array<string, int> $open how many open tasks somebody has, by id
     */
    public function __construct(private StaffMember $coordinator, private StaffMember $lead, private array $people = [], private array $newest = [], private array $open = [])
    {
    }

    /**
     * Whoever has left is passed over; where nobody is left, the lead does it. By turns goes to whoever had such a task
     * longest ago, so that one that is taken back gives its turn back.
     *
     * @param string $key full key of the item
     */
    public function of(Doer $doer, string $key): StaffMember
    {
        $here = array_values(array_filter(array_map(fn (string $id): ?StaffMember => $this->people[$id] ?? null, $doer->among)));
        if (DoerKind::Coordinator === $doer->kind) {
            return $this->coordinator;
        }
        if ([] === $here) {
            return $this->lead;
        }
        $had = DoerKind::Turns === $doer->kind ? $this->newest[$key] ?? [] : $this->open;
        $found = $here[0];
        foreach (DoerKind::Named === $doer->kind ? [] : $here as $one) {
            if (($had[$one->id] ?? '') < ($had[$found->id] ?? '')) {
                $found = $one;
            }
        }

        return $found;
    }

    /** @return bool whether everybody named for it has left */
    public function hasLeft(Doer $doer): bool
    {
        return [] !== $doer->among && [] === array_intersect($doer->among, array_map(strval(...), array_keys($this->people)));
    }
}

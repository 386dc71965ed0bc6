<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

use Telamon\Core\Time\WorkingDays;

/** Joins add-on checklists to a base one: one order, dates in working days, nothing before what it waits for. */
final readonly class ChecklistMerge
{
    public function __construct(private WorkingDays $calendar)
    {
    }

    /**
     * Items stand by position; at the same position the base list comes before add-ons and each list keeps
     * its own order. An item is moved back behind what it waits for, and is never due before it. A date
     * counted back from the day the work must be ready is never before the day of acceptance; without such
     * a day the count runs on from acceptance.
     *
     * @param list<Checklist> $checklists the base first
     *
     * @return list<PlannedTask>
     *
     * @throws CircularChecklist
     */
    public function merge(array $checklists, \DateTimeImmutable $accepted, ?\DateTimeImmutable $readyBy): array
    {
        $tasks = [];
        $byKey = [];
        foreach ($this->ordered($checklists) as [$item, $checklist]) {
            $due = $this->due($item, $accepted, $readyBy);
            $waitsFor = [];
            foreach ($item->after as $key) {
                if (isset($byKey[$key])) {
                    $waitsFor[] = $byKey[$key]->number;
                    $due = max($due, $byKey[$key]->due);
                }
            }
            sort($waitsFor);
            // Counted back, and yet after that day: no working day is left, or what it waits for is done too late.
            $isLate = DueFrom::ReadyBy === $item->from && $item->days <= 0 && null !== $readyBy && $due > $this->calendar->back($readyBy, 0);
            $tasks[] = $byKey[$item->key] = new PlannedTask(\count($tasks) + 1, $item, $checklist, $due, $waitsFor, $isLate);
        }

        return $tasks;
    }

    /**
     * @param list<Checklist> $checklists
     *
     * @return list<array{ChecklistItem, string}>
     */
    private function ordered(array $checklists): array
    {
        $rows = [];
        foreach ($checklists as $list => $checklist) {
            foreach ($checklist->items as $place => $item) {
                $rows[] = [$item, $checklist->name, [$item->position, $list, $place]];
            }
        }
        usort($rows, static fn (array $a, array $b): int => $a[2] <=> $b[2]);
        $known = array_fill_keys(array_map(static fn (array $row): string => $row[0]->key, $rows), true);
        $placed = [];
        $ordered = [];
        while ([] !== $rows) {
            foreach ($rows as $i => [$item, $name]) {
                $open = array_filter($item->after, static fn (string $key): bool => isset($known[$key]) && !isset($placed[$key]));
                if ([] === $open) {
                    $ordered[] = [$item, $name];
                    $placed[$item->key] = true;
                    unset($rows[$i]);
                    continue 2;
                }
            }
            throw new CircularChecklist('These items wait for one another: '.implode(', ', array_map(static fn (array $row): string => $row[0]->name, $rows)));
        }

        return $ordered;
    }

    /** Back from a day that is not worked, the last worked one before it is where the count begins. */
    private function counted(\DateTimeImmutable $readyBy, int $days): \DateTimeImmutable
    {
        return $days > 0 ? $this->calendar->add($readyBy, $days) : $this->calendar->back($readyBy, -$days);
    }

    private function due(ChecklistItem $item, \DateTimeImmutable $accepted, ?\DateTimeImmutable $readyBy): \DateTimeImmutable
    {
        $first = $this->calendar->add($accepted, 0);
        if (DueFrom::ReadyBy === $item->from && null !== $readyBy) {
            return max($first, $this->counted($readyBy, $item->days));
        }

        return $this->calendar->add($accepted, abs($item->days));
    }
}

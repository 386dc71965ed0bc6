<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistMerge;
use Telamon\Core\Checklists\Doer;
use Telamon\Core\Checklists\PlannedTask;
use Telamon\Core\Effects\AddTask;
use Telamon\Core\Form\Destination;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Choice;
use Telamon\Core\Plan\Leads;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Plan\Sources;

/** The plan's lines about tasks: of the checklists, in their order, and those that answers ask for. */
final readonly class TaskLines
{
    /**
     * @param Checklist|null $addOn of the service
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    public function lines(PlanContext $now, ?Checklist $addOn, StaffMember $lead, ?\DateTimeImmutable $readyBy, array $decisions): array
    {
        $checklists = [$now->desk->baseChecklist, ...(null === $addOn ? [] : [$addOn])];
        // A checklist that is there already is not joined twice.
        $names = array_map(static fn (Checklist $checklist): string => $checklist->name, $checklists);
        foreach ($now->ruling->outcome->checklists as $checklist) {
            if (!\in_array($checklist->name, $names, true)) {
                $checklists[] = $checklist;
            }
        }
        $tasks = $this->merged($now, $checklists, $readyBy);
        $names = self::names($tasks);
        $lines = array_map(static fn (PlannedTask $task): PlanLine => self::line($now, $task, $lead, $names), $tasks);
        $late = array_values(array_filter($tasks, static fn (PlannedTask $task): bool => $task->isLate));

        return [...self::late($late, $readyBy, $now, $decisions), ...$lines, ...$this->wished($now, $lead, \count($lines))];
    }

    /**
     * Those of checklists that rules add to a project that is there.
     *
     * @return list<PlanLine>
     */
    public function ruled(PlanContext $now, StaffMember $lead, ?\DateTimeImmutable $readyBy): array
    {
        return array_map(static fn (PlannedTask $task): PlanLine => self::line($now, $task, $lead, [])->noting(''), $this->merged($now, array_values($now->ruling->outcome->checklists), $readyBy));
    }

    /**
     * What a task comes after, by name: numbers of tasks are easily taken for those of lines.
     *
     * @param list<int> $waitsFor
     * @param array<int, string> $names by number
     */
    public static function after(array $waitsFor, array $names): string
    {
        return [] === $waitsFor ? '' : 'after '.implode(' and ', array_map(static fn (int $number): string => $names[$number] ?? "task $number", $waitsFor));
    }

    /**
     * @param list<PlannedTask> $tasks
     *
     * @return array<int, string> by number
     */
    private static function names(array $tasks): array
    {
        return array_combine(array_map(static fn (PlannedTask $task): int => $task->number, $tasks), array_map(static fn (PlannedTask $task): string => $task->item->name, $tasks));
    }

    /**
     * @param list<Checklist> $checklists
     *
     * @return list<PlannedTask>
     */
    private function merged(PlanContext $now, array $checklists, ?\DateTimeImmutable $readyBy): array
    {
        return (new ChecklistMerge($now->desk->calendar))->merge($checklists, $now->day(), $readyBy);
    }

    /** @param array<int, string> $names of the tasks by number */
    private static function line(PlanContext $now, PlannedTask $task, StaffMember $lead, array $names): PlanLine
    {
        $doer = Doer::Lead === $task->item->doer ? $lead : $now->desk->coordinator;
        $effect = new AddTask($task->number, $task->item->name, $doer->id, $task->due->format('Y-m-d'), $task->waitsFor, $task->checklist);

        return PlanLine::of('task.'.$task->item->key, 'Tasks', $effect, $now->telling)->noting(self::after($task->waitsFor, $names))->because($task->checklist, Leads::checklist($task->checklist));
    }

    /**
     * What cannot be done by the day it must be ready is asked about, not passed over.
     *
     * @param list<PlannedTask> $late
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    private static function late(array $late, ?\DateTimeImmutable $readyBy, PlanContext $now, array $decisions): array
    {
        if ([] === $late || null === $readyBy) {
            return [];
        }
        $day = static fn (\DateTimeImmutable $day): string => $now->telling->day($day->format('Y-m-d'));
        $choice = new Choice('late', $decisions['late'] ?? null, [['value' => 'go-on', 'hotkey' => '1', 'label' => 'Go on all the same']]);
        $names = implode(', ', array_map(static fn (PlannedTask $task): string => "“{$task->item->name}” by {$day($task->due)}", \array_slice($late, 0, 3))).(\count($late) > 3 ? ' and '.(\count($late) - 3).' more' : '');

        return [PlanLine::telling('late', 'Tasks', 'Not in time for ', Part::value($day($readyBy)), ": $names".(null === $choice->chosen ? '. Go on, or put the day right?' : ''))
            ->because(null === $choice->chosen ? 'too few working days' : 'your choice')->offering($choice)];
    }

    /**
     * Tasks that answers ask for, after those of the checklists; due on the next working day.
     *
     * @return list<PlanLine>
     */
    private function wished(PlanContext $now, StaffMember $doer, int $before): array
    {
        $lines = [];
        $due = $now->desk->calendar->add($now->day(), 1)->format('Y-m-d');
        foreach ($now->inquiry->readings->allFor(Destination::Task) as $reading) {
            foreach ($reading->texts() as $i => $text) {
                $effect = new AddTask($before + \count($lines) + 1, mb_substr($text, 0, 200), $doer->id, $due);
                $lines[] = PlanLine::of("task.{$reading->question->key}.".($i + 1), 'Tasks', $effect, $now->telling, Sources::of(['name' => $reading]))->because('asked for in the form');
            }
        }

        return $lines;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Checklists\Anchors;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistMerge;
use Telamon\Core\Checklists\Merged;
use Telamon\Core\Checklists\PlannedTask;
use Telamon\Core\Checklists\TaskBrief;
use Telamon\Core\Checklists\UnreadableOutline;
use Telamon\Core\Checklists\WorkInCircle;
use Telamon\Core\Effects\AddTask;
use Telamon\Core\Form\Destination;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Choice;
use Telamon\Core\Plan\Leads;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Text\TemplateRenderer;

/** The plan's lines about tasks: of the checklists, in their order, and those that answers ask for. */
final readonly class TaskLines
{
    public function __construct(private TemplateRenderer $renderer = new TemplateRenderer())
    {
    }

    /**
     * @param Checklist|null $addOn of the service
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    public function lines(PlanContext $now, ?Checklist $addOn, StaffMember $lead, ?\DateTimeImmutable $readyBy, array $decisions): array
    {
        $checklists = [$now->desk->baseChecklist, ...(null === $addOn ? [] : [$addOn]), ...array_values($now->ruling->outcome->checklists)];
        $merged = $this->merged($now, $checklists, $readyBy);
        if (\is_string($merged)) {
            return [
                PlanLine::telling('tasks.circle', 'Tasks', "No checklist is joined. $merged")->because('checklists', Leads::checklist($checklists[0]->key)),
                ...$this->wished($now, $lead, 0),
            ];
        }
        $lines = $this->tasks($now, $merged, $lead);

        return [
            ...self::late($merged, $readyBy, $now, $decisions),
            ...self::clashing($merged),
            ...$lines,
            ...self::leftOut($merged),
            ...$this->wished($now, $lead, \count($lines)),
        ];
    }

    /**
     * Those of checklists that rules add to a project that is there.
     *
     * @return list<PlanLine>
     */
    public function ruled(PlanContext $now, StaffMember $lead, ?\DateTimeImmutable $readyBy): array
    {
        $checklists = array_values($now->ruling->outcome->checklists);
        $merged = [] === $checklists ? null : $this->merged($now, $checklists, $readyBy);

        return match (true) {
            null === $merged => [],
            \is_string($merged) => [PlanLine::telling('tasks.circle', 'Tasks', "No checklist is joined. $merged")->because('checklists', Leads::checklist($checklists[0]->key))],
            default => array_map(static fn (PlanLine $line): PlanLine => $line->noting(''), $this->tasks($now, $merged, $lead)),
        };
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

    /** @return list<PlanLine> own days that nobody can keep, each once */
    private static function clashing(Merged $merged): array
    {
        $lines = [];
        foreach ($merged->clashes() as $clash) {
            $lines[$clash['key']] ??= PlanLine::telling("tasks.clash.{$clash['key']}", 'Tasks', $clash['words'])->because(
                'its checklist',
                Leads::checklist(explode('/', $clash['key'])[0]),
            );
        }

        return array_values($lines);
    }

    /** @return list<PlanLine> one a task */
    private function tasks(PlanContext $now, Merged $merged, StaffMember $lead): array
    {
        $crew = $now->desk->crew($lead);
        $fields = RuleLines::fields($now) + self::known($now);
        $names = [];
        foreach ($merged->tasks as $task) {
            $names[$task->number] = $this->named($task, $fields);
        }

        return array_map(static function (PlannedTask $task) use ($now, $crew, $names): PlanLine {
            $name = $task->checklist->name;
            $effect = new AddTask(
                $task->number,
                $names[$task->number],
                $crew->of($task->item->doer, $task->key)->id,
                $task->due->format('Y-m-d'),
                $task->waitsFor,
                $name,
                TaskBrief::of($task),
            );
            $left = $crew->hasLeft($task->item->doer) ? ', as whoever was named has left' : '';

            return PlanLine::of('task.'.$task->key, 'Tasks', $effect, $now->telling)->noting(self::after($task->waitsFor, $names))
                ->because("$name$left", Leads::checklist($task->checklist->key));
        }, $merged->tasks);
    }

    /** @return array<string, string> what names of items may hold beside answers by their keys */
    private static function known(PlanContext $now): array
    {
        $readings = $now->inquiry->readings;
        $service = $now->desk->services[AskedService::of($readings->for(Destination::ProjectService), $now->desk->serviceNames())] ?? null;
        $known = ['service' => $service->name ?? ''];
        foreach (['client' => Destination::ClientName, 'asset' => Destination::AssetDescription, 'ready_by' => Destination::ProjectReadyBy] as $name => $destination) {
            $known[$name] = $readings->for($destination)->text ?? '';
        }

        return $known;
    }

    /**
     * A field that nothing fills leaves no gap: the name stands as it is written.
     *
     * @param array<string, string> $fields
     */
    private function named(PlannedTask $task, array $fields): string
    {
        $name = $task->item->name;
        if (!str_contains($name, '{{')) {
            return $name;
        }
        $filled = $this->renderer->subject($name, $fields);

        return '' === $filled ? mb_substr($name, 0, 200) : $filled;
    }

    /**
     * @param list<Checklist> $checklists
     *
     * @return Merged|string what is wrong with them, where they cannot be joined
     */
    private function merged(PlanContext $now, array $checklists, ?\DateTimeImmutable $readyBy): Merged|string
    {
        try {
            return (new ChecklistMerge($now->desk->calendar))->merge(
                $checklists,
                new Anchors($now->today, $readyBy, null, $now->inquiry->booked?->at),
                $now->ruling->facts?->facts(),
            );
        } catch (WorkInCircle|UnreadableOutline $error) {
            return $error->getMessage();
        }
    }

    /**
     * What cannot be done by the day it must be ready is asked about, not passed over.
     *
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    private static function late(Merged $merged, ?\DateTimeImmutable $readyBy, PlanContext $now, array $decisions): array
    {
        $done = $merged->done->format('Y-m-d');
        $late = array_values(array_filter($merged->tasks, static fn (PlannedTask $task): bool => null !== $readyBy && ($task->due > $readyBy || $task->due < $task->begins)));
        if (null === $readyBy || (0 === $merged->shortBy && [] === $late)) {
            return [];
        }
        $choice = new Choice('late', $decisions['late'] ?? null, [['value' => 'go-on', 'hotkey' => '1', 'label' => 'Go on all the same']]);
        $words = 0 === $merged->shortBy
            ? implode(
                ', ',
                array_map(
                    static fn (PlannedTask $task): string => "“{$task->item->name}” would be due on {$now->telling->day($task->due->format('Y-m-d'))}",
                    \array_slice($late, 0, 3),
                ),
            ).(\count($late) > 3 ? ' and '.(\count($late) - 3).' more' : '')
            : "{$merged->verdict()}; done by {$now->telling->day($done)}";

        return [PlanLine::telling(
            'late',
            'Tasks',
            'Not in time for ',
            Part::value($now->telling->day($readyBy->format('Y-m-d'))),
            ": $words".(null === $choice->chosen ? '. Go on, or put the day right?' : ''),
        )
            ->because(null === $choice->chosen ? 'too few working days' : 'your choice')->offering($choice)];
    }

    /** @return list<PlanLine> what a condition left out, in one line */
    private static function leftOut(Merged $merged): array
    {
        $names = array_map(static fn (array $one): string => "“{$one['item']->name}”", $merged->leftOut);

        return [] === $names
            ? []
            : [PlanLine::telling('tasks.left-out', 'Tasks', 'Not needed here: '.implode(', ', $names))->because(
                'a condition of the checklist',
                Leads::checklist($merged->leftOut[0]['checklist']->key),
            )];
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
                $lines[] = PlanLine::of(
                    "task.{$reading->question->key}.".($i + 1),
                    'Tasks',
                    $effect,
                    $now->telling,
                    Sources::of(['name' => $reading]),
                )->because('asked for in the form');
            }
        }

        return $lines;
    }
}

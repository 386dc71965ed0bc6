<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistMerge;
use Telamon\Core\Checklists\Doer;
use Telamon\Core\Checklists\PlannedTask;
use Telamon\Core\Effects\AddTask;
use Telamon\Core\Effects\AttachFiles;
use Telamon\Core\Effects\KeepSheet;
use Telamon\Core\Effects\OpenProject;
use Telamon\Core\Effects\UseProject;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Purpose;
use Telamon\Core\Form\QuestionType;
use Telamon\Core\Form\Reading;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Choice;
use Telamon\Core\Plan\DayChoice;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Rules\RuleOutcome;
use Telamon\Core\Time\DayWords;

/** The plan's lines about the work: project, asset, day, notes, tasks and files. */
final readonly class ProjectLines
{
    private const READY_BY = 'ready_by';
    private const PROJECT = 'project';

    public function __construct(private AssetLines $assets = new AssetLines(), private FieldLines $fields = new FieldLines())
    {
    }

    /**
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    public function lines(PlanInput $input, array $decisions, ?KnownClient $client): array
    {
        $reading = $input->readings->for(Destination::ProjectReadyBy);
        $day = DayChoice::of($reading, self::READY_BY, $decisions, $input->today);
        $service = $this->service($input);

        $assets = $this->assets->lines($input, $client, $decisions);
        $again = $this->again($input, $client, $decisions);
        if (Purpose::File === $input->purpose || 'file' === $again?->chosen) {
            return [new PlanLine('project', 'Project', [Part::words('File it with the client; no project is opened')], null, '', null === $again ? 'what the form is for' : 'your choice', $again), ...$this->files($input, false)];
        }
        if (null !== $again && null === $again->chosen) {
            return [new PlanLine('project', 'Project', [Part::words('Which project is this added to?')], null, [] === ($client->openProjects ?? []) ? 'none is open for this client' : '', 'what the form is for', $again), ...$this->files($input, false)];
        }
        foreach ($client->openProjects ?? [] as $open) {
            if ($again?->chosen === $open['id']) {
                return [$this->addTo($input, $open, $again, [] !== $assets), ...$assets, ...$this->fields->project($input, $decisions, [] !== $assets), ...$this->files($input)];
            }
        }

        return [
            $this->project($input, $service, $day->day, [] !== $assets, $again, $client->openProjects[0] ?? null),
            ...$assets,
            ...(null === $reading || (null === $day->day && null === $day->choice) ? [] : [$day->line($reading, self::READY_BY, 'Project', 'Ready by ', $input->today)]),
            ...$this->fields->project($input, $decisions, [] !== $assets),
            ...$this->tasks($input, $service, $day->day, $decisions),
            ...$this->files($input),
        ];
    }

    private function service(PlanInput $input): ?ServiceFacts
    {
        return $input->services[$input->readings->for(Destination::ProjectService)?->string() ?? ''] ?? null;
    }

    private function lead(PlanInput $input, ?ServiceFacts $service): StaffMember
    {
        return $input->outcome->lead() ?? $service->lead ?? $input->coordinator;
    }

    /**
     * The same person again, while work from before is under way: the plan offers to add to that.
     *
     * @param array<string, string> $decisions
     */
    private function again(PlanInput $input, ?KnownClient $client, array $decisions): ?Choice
    {
        $adds = Purpose::Add === $input->purpose;
        if (Purpose::File === $input->purpose || (!$adds && [] === ($client->openProjects ?? []))) {
            return null;
        }
        $options = [['value' => 'new', 'hotkey' => 'O', 'label' => 'Open another']];
        foreach (\array_slice($client->openProjects ?? [], 0, 3) as $i => $open) {
            $options[] = ['value' => $open['id'], 'hotkey' => ['P', 'Q', 'R'][$i], 'label' => "Add to {$open['number']} {$open['title']}"];
        }

        if ($adds) {
            $options[] = ['value' => 'file', 'hotkey' => 'I', 'label' => 'Only file it'];
        }

        return new Choice(self::PROJECT, $decisions[self::PROJECT] ?? ($adds ? null : 'new'), $options);
    }

    /** @param array{id: string, number: string, title: string, lead: string, opened: string} $open */
    private function addTo(PlanInput $input, array $open, Choice $choice, bool $hasAsset): PlanLine
    {
        $notes = [];
        $parts = [Part::words('Add to '), Part::record('project', $open['id'], "{$open['number']} {$open['title']}")];
        $noted = $this->noted($input, $hasAsset);
        // The project has its title, day and tasks already: what the answers say of them is told, so that it is not lost.
        $told = array_filter($input->readings->all, static fn (Reading $reading): bool => \in_array($reading->question->destination, [Destination::ProjectService, Destination::ProjectTitle, Destination::ProjectReadyBy, Destination::Task], true) && 0 === $reading->line && !\in_array($reading, $noted, true));
        foreach ([...$noted, ...array_values($told)] as $i => $reading) {
            $notes[] = $reading->question->wording."\n".$reading->text;
            array_push($parts, Part::words(0 === $i ? ' ' : ' and '), Part::value('the note', $reading->question->number));
        }

        return new PlanLine('project', 'Project', $parts, new UseProject($open['id'], implode("\n\n", $notes)), 'its tasks stay as they are', 'your choice', $choice);
    }

    /** @param array{id: string, number: string, title: string, lead: string, opened: string}|null $open */
    private function project(PlanInput $input, ?ServiceFacts $service, ?\DateTimeImmutable $readyBy, bool $hasAsset, ?Choice $again = null, ?array $open = null): PlanLine
    {
        $asked = $input->readings->for(Destination::ProjectService);
        $lead = $this->lead($input, $service);
        $named = $input->readings->for(Destination::ProjectTitle);
        $title = $named->text ?? $service->name ?? $asked->text ?? 'Inquiry';
        $notes = [];
        $numbers = [];
        foreach ($this->noted($input, $hasAsset) as $reading) {
            $notes[] = $reading->question->wording."\n".$reading->text;
            $numbers[] = $reading;
        }
        $parts = [Part::words('Open '), Part::value($title, ($named ?? $asked)?->question->number), Part::words(' for '), Part::value($lead->name)];
        foreach ($numbers as $i => $reading) {
            array_push($parts, Part::words(0 === $i ? ', with ' : ' and '), Part::value('the note', $reading->question->number));
        }

        return new PlanLine('project', 'Project', $parts, new OpenProject($title, $lead->id, $input->outcome->stage(), $readyBy?->format('Y-m-d') ?? '', implode("\n\n", $notes), $service->key ?? ''), null !== $open ? "{$open['number']} {$open['title']} is open since ".DayWords::short(new \DateTimeImmutable($open['opened'], new \DateTimeZone('UTC')), $input->today).'; add to it instead?' : ('' === $input->outcome->stage() ? '' : "in the stage {$input->outcome->stage()} (".RuleOutcome::why($input->outcome->stages).')'), [] === $input->outcome->leads ? ($service->rule ?? 'no service named, so it stays with the coordinator') : RuleOutcome::why($input->outcome->leads), $again);
    }

    /**
     * Answers for the notes: those that go there, and those that go nowhere else.
     *
     * @return list<Reading>
     */
    private function noted(PlanInput $input, bool $hasAsset): array
    {
        $homeless = static fn (Reading $reading): bool => QuestionType::Files !== $reading->question->type && 0 === $reading->line
            && (null === $reading->question->destination || (null !== $reading->question->destination->customOf() && null === $input->customField($reading)) || (!$hasAsset && Destination::AssetCustom === $reading->question->destination));

        // What could not be read is told too: its text is all there is. A budget is kept as it was written.
        $unread = static fn (Reading $reading): bool => $reading->isUnread() && null !== $reading->question->destination && 0 === $reading->line && !\in_array($reading->question->destination, [Destination::ProjectNotes, Destination::ProjectBudget], true) && !$homeless($reading);

        return [...$input->readings->allFor(Destination::ProjectNotes), ...array_values(array_filter($input->readings->all, $homeless)), ...array_values(array_filter($input->readings->all, $unread))];
    }

    /**
     * What cannot be done by the day it must be ready is asked about, not passed over.
     *
     * @param list<PlannedTask> $late
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    private static function late(array $late, ?\DateTimeImmutable $readyBy, PlanInput $input, array $decisions): array
    {
        if ([] === $late || null === $readyBy) {
            return [];
        }
        $choice = new Choice('late', $decisions['late'] ?? null, [['value' => 'go-on', 'hotkey' => '1', 'label' => 'Go on all the same']]);
        $names = implode(', ', array_map(static fn (PlannedTask $task): string => "“{$task->item->name}” by ".DayWords::short($task->due, $input->today), \array_slice($late, 0, 3))).(\count($late) > 3 ? ' and '.(\count($late) - 3).' more' : '');
        $parts = [Part::words('Not in time for '), Part::value(DayWords::short($readyBy, $input->today)), Part::words(": $names".(null === $choice->chosen ? '. Go on, or put the day right?' : ''))];

        return [new PlanLine('late', 'Tasks', $parts, null, '', null === $choice->chosen ? 'too few working days' : 'your choice', $choice)];
    }

    /**
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    private function tasks(PlanInput $input, ?ServiceFacts $service, ?\DateTimeImmutable $readyBy, array $decisions): array
    {
        $checklists = [$input->baseChecklist, ...(null === $service?->addOn ? [] : [$service->addOn])];
        // A checklist that is there already is not joined twice.
        $names = array_map(static fn (Checklist $checklist): string => $checklist->name, $checklists);
        foreach ($input->outcome->checklists as $checklist) {
            if (!\in_array($checklist->name, $names, true)) {
                $checklists[] = $checklist;
            }
        }
        $today = new \DateTimeImmutable($input->today->format('Y-m-d'), new \DateTimeZone('UTC'));
        $lines = [];
        $late = [];
        foreach ((new ChecklistMerge($input->calendar))->merge($checklists, $today, $readyBy) as $task) {
            if ($task->isLate) {
                $late[] = $task;
            }
            $doer = Doer::Lead === $task->item->doer ? $this->lead($input, $service) : $input->coordinator;
            $lines[] = new PlanLine(
                'task.'.$task->item->key,
                'Tasks',
                [Part::value($task->item->name), Part::words(', '), Part::value($doer->firstName()), Part::words(', '), Part::value(DayWords::short($task->due, $input->today))],
                new AddTask($task->number, $task->item->name, $doer->id, $task->due->format('Y-m-d'), $task->waitsFor, $task->checklist),
                [] === $task->waitsFor ? '' : 'after task '.implode(' and ', $task->waitsFor),
                $task->checklist,
            );
        }

        return [...self::late($late, $readyBy, $input, $decisions), ...$lines, ...$this->wishedTasks($input, $this->lead($input, $service), \count($lines), $today)];
    }

    /**
     * Tasks that answers ask for, after those of the checklists; due on the next working day.
     *
     * @return list<PlanLine>
     */
    private function wishedTasks(PlanInput $input, StaffMember $doer, int $before, \DateTimeImmutable $today): array
    {
        $lines = [];
        foreach ($input->readings->allFor(Destination::Task) as $reading) {
            foreach ($reading->texts() as $i => $text) {
                $due = $input->calendar->add($today, 1);
                $name = mb_substr($text, 0, 200);
                $lines[] = new PlanLine(
                    "task.{$reading->question->key}.".($i + 1),
                    'Tasks',
                    [Part::value($name, $reading->question->number), Part::words(', '), Part::value($doer->firstName()), Part::words(', '), Part::value(DayWords::short($due, $input->today))],
                    new AddTask($before + \count($lines) + 1, $name, $doer->id, $due->format('Y-m-d')),
                    '',
                    'asked for in the form',
                );
            }
        }

        return $lines;
    }

    /** @return list<PlanLine> */
    private function files(PlanInput $input, bool $hasProject = true): array
    {
        $lines = [];
        foreach ($input->readings->all as $reading) {
            if (QuestionType::Files === $reading->question->type && \is_array($reading->value)) {
                $count = \count($reading->value);
                $lines[] = new PlanLine("files.{$reading->question->key}", 'Files', [
                    Part::words('Put '),
                    Part::value(1 === $count ? '1 file' : "$count files", $reading->question->number),
                    Part::words($hasProject ? " with the {$input->assetWord} and the project" : ' with the client'),
                ], new AttachFiles($reading->question->key));
            }
        }
        $lines[] = new PlanLine('sheet', 'Files', [Part::words('Keep the answers as they came with the '.($hasProject ? 'project' : 'client').', as a PDF')], new KeepSheet());

        return $lines;
    }
}

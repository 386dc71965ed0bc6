<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Form\Destination;
use Telamon\Core\Form\QuestionType;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Reading\Reading;
use Telamon\Core\Tasks\ChecklistMerge;
use Telamon\Core\Tasks\Doer;

/** The plan's lines about the work: project, asset, day, notes, tasks and files. */
final readonly class ProjectLines
{
    private const READY_BY = 'ready_by';

    /**
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    public function lines(PlanInput $input, array $decisions, ?KnownClient $client): array
    {
        $reading = $input->readings->for(Destination::ProjectReadyBy);
        $readyBy = $this->readyBy($reading, $decisions);
        $service = $this->service($input);

        return [
            $this->project($input, $service, $readyBy),
            ...$this->asset($input, $client),
            ...$this->readyByLine($input, $reading, $readyBy),
            ...$this->tasks($input, $service, $readyBy),
            ...$this->files($input),
        ];
    }

    private function service(PlanInput $input): ?ServiceFacts
    {
        return $input->services[$input->readings->for(Destination::ProjectService)?->string() ?? ''] ?? null;
    }

    private function lead(PlanInput $input, ?ServiceFacts $service): StaffMember
    {
        return $service->lead ?? $input->coordinator;
    }

    private function project(PlanInput $input, ?ServiceFacts $service, ?\DateTimeImmutable $readyBy): PlanLine
    {
        $asked = $input->readings->for(Destination::ProjectService);
        $lead = $this->lead($input, $service);
        $title = $service->name ?? $asked->text ?? 'Inquiry';
        $notes = [];
        $numbers = [];
        foreach ([...$input->readings->allFor(Destination::ProjectNotes), ...$input->readings->allFor(null)] as $reading) {
            $notes[] = $reading->question->wording."\n".$reading->text;
            $numbers[] = $reading;
        }
        $parts = [Part::words('Open '), Part::value($title, $asked?->question->number), Part::words(' for '), Part::value($lead->name)];
        foreach ($numbers as $i => $reading) {
            array_push($parts, Part::words(0 === $i ? ', with ' : ' and '), Part::value('the note', $reading->question->number));
        }

        return new PlanLine('project', 'Project', $parts, new Effect(EffectKind::OpenProject, [
            'title' => $title,
            'service' => $service->key ?? '',
            'lead' => $lead->id,
            'ready_by' => $readyBy?->format('Y-m-d') ?? '',
            'notes' => implode("\n\n", $notes),
        ]), '', $service->rule ?? 'no service named, so it stays with the coordinator');
    }

    /** @return list<PlanLine> */
    private function asset(PlanInput $input, ?KnownClient $client): array
    {
        $what = $input->readings->for(Destination::AssetDescription);
        if (null === $what) {
            return [];
        }
        foreach ($client->assets ?? [] as $asset) {
            if (mb_strtolower($asset['description']) === mb_strtolower($what->text)) {
                return [new PlanLine('asset', 'Project', [
                    Part::words("The {$input->assetWord} on file: "), Part::record('asset', $asset['id'], $asset['description']),
                ], new Effect(EffectKind::UseAsset, ['id' => $asset['id']]), '', 'same description')];
            }
        }
        $place = $input->readings->for(Destination::AssetPlace);
        $parts = [Part::words("Add {$input->assetWord} "), Part::value($what->text, $what->question->number)];
        if (null !== $place) {
            array_push($parts, Part::words(', at '), Part::value($place->text, $place->question->number));
        }

        return [new PlanLine('asset', 'Project', $parts, new Effect(EffectKind::CreateAsset, ['description' => $what->text, 'place' => $place->text ?? '']))];
    }

    /** @param array<string, string> $decisions */
    private function readyBy(?Reading $reading, array $decisions): ?\DateTimeImmutable
    {
        $iso = $reading?->string() ?? '';
        if (null !== $reading && $reading->isDoubtful() && \in_array($decisions[self::READY_BY] ?? '', $reading->possible, true)) {
            $iso = $decisions[self::READY_BY];
        }

        return '' === $iso ? null : new \DateTimeImmutable($iso, new \DateTimeZone('UTC'));
    }

    /** @return list<PlanLine> */
    private function readyByLine(PlanInput $input, ?Reading $reading, ?\DateTimeImmutable $readyBy): array
    {
        if (null === $reading || (null === $readyBy && !$reading->isDoubtful())) {
            return [];
        }
        $number = $reading->question->number;
        $choice = null;
        if ($reading->isDoubtful()) {
            $options = [];
            foreach ($reading->possible as $i => $iso) {
                $day = new \DateTimeImmutable($iso, new \DateTimeZone('UTC'));
                $options[] = ['value' => $iso, 'hotkey' => (string) ($i + 1), 'label' => DayWords::short($day, $input->today).', '.DayWords::distance($day, $input->today)];
            }
            $choice = new Choice(self::READY_BY, $readyBy?->format('Y-m-d'), $options);
        }
        $parts = null === $readyBy
            ? [Part::words('Ready by '), Part::value($reading->text, $number), Part::words(': which day is meant?')]
            : [Part::words('Ready by '), Part::value(DayWords::short($readyBy, $input->today), $number), Part::words(', '.DayWords::distance($readyBy, $input->today))];

        return [new PlanLine('ready_by', 'Project', $parts, null, '', null === $choice ? '' : 'day or month first?', $choice)];
    }

    /** @return list<PlanLine> */
    private function tasks(PlanInput $input, ?ServiceFacts $service, ?\DateTimeImmutable $readyBy): array
    {
        $checklists = [$input->baseChecklist, ...(null === $service?->addOn ? [] : [$service->addOn])];
        $today = new \DateTimeImmutable($input->today->format('Y-m-d'), new \DateTimeZone('UTC'));
        $lines = [];
        foreach ((new ChecklistMerge($input->calendar))->merge($checklists, $today, $readyBy) as $task) {
            $doer = Doer::Lead === $task->item->doer ? $this->lead($input, $service) : $input->coordinator;
            $lines[] = new PlanLine(
                'task.'.$task->item->key,
                'Tasks',
                [Part::value($task->item->name), Part::words(', '), Part::value($doer->firstName()), Part::words(', '), Part::value(DayWords::short($task->due, $input->today))],
                new Effect(EffectKind::AddTask, [
                    'position' => $task->number,
                    'name' => $task->item->name,
                    'assignee' => $doer->id,
                    'due' => $task->due->format('Y-m-d'),
                    'waits_for' => $task->waitsFor,
                    'checklist' => $task->checklist,
                ]),
                [] === $task->waitsFor ? '' : 'after task '.implode(' and ', $task->waitsFor),
                $task->checklist,
            );
        }

        return $lines;
    }

    /** @return list<PlanLine> */
    private function files(PlanInput $input): array
    {
        $lines = [];
        foreach ($input->readings->all as $reading) {
            if (QuestionType::Files === $reading->question->type && \is_array($reading->value)) {
                $count = \count($reading->value);
                $lines[] = new PlanLine("files.{$reading->question->key}", 'Files', [
                    Part::words('Put '),
                    Part::value(1 === $count ? '1 file' : "$count files", $reading->question->number),
                    Part::words(" with the {$input->assetWord} and the project"),
                ], new Effect(EffectKind::AttachFiles, ['question' => $reading->question->key]));
            }
        }

        return $lines;
    }
}

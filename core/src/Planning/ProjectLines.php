<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Booking\OntoProject;
use Telamon\Core\Effects\AttachFiles;
use Telamon\Core\Effects\BookAppointment;
use Telamon\Core\Effects\KeepSheet;
use Telamon\Core\Effects\OpenProject;
use Telamon\Core\Effects\UseProject;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Purpose;
use Telamon\Core\Form\Reading;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Choice;
use Telamon\Core\Plan\DayChoice;
use Telamon\Core\Plan\Leads;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Rules\RuleOutcome;
use Telamon\Core\Time\DayWords;

/** The plan's lines about the work: project, asset, day, notes, tasks and files. */
final readonly class ProjectLines
{
    private const READY_BY = 'ready_by';
    private const PROJECT = 'project';
    private const SERVICE = 'service';

    public function __construct(private AssetLines $assets = new AssetLines(), private FieldLines $fields = new FieldLines(), private TaskLines $tasks = new TaskLines())
    {
    }

    /**
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    public function lines(PlanContext $now, array $decisions, ?KnownClient $client): array
    {
        $reading = $now->inquiry->readings->for(Destination::ProjectReadyBy);
        $asked = DayChoice::of($reading, self::READY_BY, $decisions, $now->today);
        $typed = self::typedDay($now, $asked->day);
        $readyBy = $typed ?? (\in_array(self::READY_BY, $now->amendments->dropped, true) ? null : $asked->day);
        $service = $this->service($now, $decisions);

        $assets = $this->assets->lines($now, $client, $decisions);
        $booked = $now->inquiry->booked;
        $filed = Purpose::File === $now->inquiry->purpose || OntoProject::None === $booked?->onto;
        $again = $this->again($now, $client, $decisions);
        if ($filed || 'file' === $again?->chosen) {
            return [
                PlanLine::telling(
                    'project',
                    'Project',
                    'File it with the client; no project is opened',
                )->because(null === $again ? (null === $booked ? 'what the form is for' : "how {$booked->title} is set up") : 'your choice')->offering($again),
                ...$this->appointment($now, false),
                ...$this->files($now, false),
            ];
        }
        if (null !== $again && null === $again->chosen) {
            return [
                PlanLine::telling('project', 'Project', 'Which project is this added to?')->noting(
                    [] === $now->openProjects($client) ? 'none is open for this client' : '',
                )->because(
                    null === $booked ? 'what the form is for' : "how {$booked->title} is set up",
                )->offering($again),
                ...$this->files($now, false),
            ];
        }
        foreach ($now->openProjects($client) as $open) {
            if ($again?->chosen === $open['id']) {
                return [
                    $this->addTo($now, $open, $again, [] !== $assets, isset($decisions[self::PROJECT])),
                    ...$this->appointment($now),
                    ...$assets,
                    ...$this->fields->project($now, $decisions, [] !== $assets),
                    ...$this->files($now),
                ];
            }
        }

        return [
            $this->project($now, $service, $readyBy, [] !== $assets, $again, $now->openProjects($client)[0] ?? null),
            ...$this->unknownService($now, $decisions),
            ...$this->appointment($now),
            ...$assets,
            ...$this->dayLine($now, $reading, $asked, $typed),
            ...$this->fields->project($now, $decisions, [] !== $assets),
            ...$this->tasks->lines($now, $service?->addOn, $this->lead($now, $service), $readyBy, $decisions),
            ...$this->files($now),
        ];
    }

    /** The day that somebody set by hand; null where nobody did, or where it is the one that was answered. */
    private static function typedDay(PlanContext $now, ?\DateTimeImmutable $asked): ?\DateTimeImmutable
    {
        $typed = trim($now->amendments->edit('project', 'readyBy'));

        return '' === $typed || $typed === $asked?->format('Y-m-d') ? null : new \DateTimeImmutable(TypedValues::day('project.readyBy', $typed), new \DateTimeZone('UTC'));
    }

    /** @return list<PlanLine> by when it is to be ready, as it was answered or set by hand; none where nothing is known */
    private function dayLine(PlanContext $now, ?Reading $reading, DayChoice $asked, ?\DateTimeImmutable $typed): array
    {
        if (null !== $typed) {
            return [PlanLine::telling(
                self::READY_BY,
                'Project',
                'Ready by ',
                Part::value(DayWords::short($typed, $now->today)),
                ', '.DayWords::distance($typed, $now->today),
            )->because('changed by hand')];
        }

        return null === $reading || (null === $asked->day && null === $asked->choice) ? [] : [$asked->line($reading, self::READY_BY, 'Project', 'Ready by ', $now->today)->loose()];
    }

    /** @param array<string, string> $decisions */
    private function service(PlanContext $now, array $decisions): ?OfferedService
    {
        $asked = AskedService::of($now->inquiry->readings->for(Destination::ProjectService), $now->desk->serviceNames());

        return $now->desk->services[$asked] ?? $now->desk->services[$decisions[self::SERVICE] ?? ''] ?? $now->desk->services[$now->inquiry->booked->service ?? ''] ?? null;
    }

    /**
     * Somebody asked for what is called like no service: without one there is no lead, checklist, kind of visit or price,
     * so somebody says which is meant.
     *
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    private function unknownService(PlanContext $now, array $decisions): array
    {
        $answer = $now->inquiry->readings->for(Destination::ProjectService);
        if (null === $answer || isset($now->desk->services[$now->inquiry->booked->service ?? '']) || !AskedService::isAmiss($answer, $now->desk->serviceNames())) {
            return [];
        }
        $options = [];
        foreach (array_values($now->desk->services) as $i => $service) {
            $options[] = ['value' => $service->key, 'hotkey' => $i < 8 ? (string) ($i + 1) : '', 'label' => $service->name];
        }
        $choice = new Choice(self::SERVICE, $decisions[self::SERVICE] ?? null, [...$options, ['value' => 'none', 'hotkey' => '9', 'label' => 'None of them']]);
        $text = Part::value(mb_strimwidth($answer->text, 0, 80, '…'), $answer->question->number);
        $named = $now->desk->services[$choice->chosen ?? '']->name ?? null;

        $line = match (true) {
            null === $choice->chosen => PlanLine::telling(
                self::SERVICE,
                'Project',
                'No service is called ',
                $text,
                '. Which one is meant?',
            )->because('it has no lead, no checklist and no prices without one'),
            null === $named => PlanLine::telling(self::SERVICE, 'Project', $text, ' is none of the services')->because('your choice'),
            default => PlanLine::telling(self::SERVICE, 'Project', $text, " is $named")->because('your choice'),
        };

        return [$line->offering($choice)];
    }

    /** @return list<PlanLine> the time that was booked with it; none where none was */
    private function appointment(PlanContext $now, bool $hasProject = true): array
    {
        $booked = $now->inquiry->booked;

        return null === $booked
            ? []
            : [PlanLine::of(
                'appointment',
                'Project',
                new BookAppointment($booked->id, $booked->title, $booked->when, $booked->with, $hasProject),
                $now->telling,
            )->because('booked by the client')];
    }

    private function lead(PlanContext $now, ?OfferedService $service): StaffMember
    {
        return $now->ruling->outcome->lead() ?? $service->lead ?? $now->desk->coordinator;
    }

    /**
     * The same person again, while work from before is under way: the plan offers to add to that.
     *
     * @param array<string, string> $decisions
     */
    private function again(PlanContext $now, ?KnownClient $client, array $decisions): ?Choice
    {
        $onto = $now->inquiry->booked?->onto;
        $adds = Purpose::Add === $now->inquiry->purpose && null === $onto;
        $projects = \array_slice($now->openProjects($client), 0, 3);
        if (Purpose::File === $now->inquiry->purpose || OntoProject::None === $onto || (!$adds && [] === $projects)) {
            return null;
        }
        $options = [['value' => 'new', 'hotkey' => 'O', 'label' => 'Open another']];
        foreach ($projects as $i => $open) {
            $options[] = ['value' => $open['id'], 'hotkey' => ['P', 'Q', 'R'][$i], 'label' => "Add to {$open['number']} {$open['title']}"];
        }

        if ($adds) {
            $options[] = ['value' => 'file', 'hotkey' => 'I', 'label' => 'Only file it'];
        }

        $usual = match ($onto) {
            // One is open: without, there was nothing to choose.
            OntoProject::Joins => $projects[0]['id'],
            OntoProject::Asks => null,
            // Where only one is open, that one is meant.
            default => $adds ? (1 === \count($now->openProjects($client)) ? $projects[0]['id'] : null) : 'new',
        };

        return new Choice(self::PROJECT, $decisions[self::PROJECT] ?? $usual, $options);
    }

    /** @param array{id: string, number: string, title: string, lead: string, opened: string, service?: string} $open */
    private function addTo(PlanContext $now, array $open, Choice $choice, bool $hasAsset, bool $byChoice): PlanLine
    {
        $noted = $this->noted($now, $hasAsset);
        // The project has its title, day and tasks already: what the answers say of them is told, so that it is not lost.
        $told = array_filter(
            $now->inquiry->readings->all,
            static fn (Reading $reading): bool => \in_array(
                $reading->question->destination,
                [Destination::ProjectService, Destination::ProjectTitle, Destination::ProjectReadyBy, Destination::Task],
                true,
            ) && 0 === $reading->line && !\in_array($reading, $noted, true),
        );
        $notes = [...$noted, ...array_values($told)];

        return PlanLine::of(
            'project',
            'Project',
            new UseProject($open['id'], self::notes($notes)),
            $now->telling,
            Sources::of(['notes' => $notes]),
        )->noting('its tasks stay as they are')
            ->because($byChoice || null === $now->inquiry->booked ? 'your choice' : "how {$now->inquiry->booked->title} is set up")
            ->offering($choice);
    }

    /** @param list<Reading> $readings */
    private static function notes(array $readings): string
    {
        return implode("\n\n", array_map(static fn (Reading $reading): string => $reading->question->wording."\n".$reading->text, $readings));
    }

    /** @param array{id: string, number: string, title: string, lead: string, opened: string, service?: string}|null $open */
    private function project(PlanContext $now, ?OfferedService $service, ?\DateTimeImmutable $readyBy, bool $hasAsset, ?Choice $again = null, ?array $open = null): PlanLine
    {
        $asked = $now->inquiry->readings->for(Destination::ProjectService);
        $lead = $this->lead($now, $service);
        $named = $now->inquiry->readings->for(Destination::ProjectTitle);
        $title = $named->text ?? $service->name ?? $asked->text ?? $now->inquiry->booked->title ?? ('' === $now->inquiry->title ? 'Inquiry' : $now->inquiry->title);
        $notes = $this->noted($now, $hasAsset);
        $outcome = $now->ruling->outcome;
        $effect = new OpenProject($title, $lead->id, $outcome->stage(), $readyBy?->format('Y-m-d') ?? '', self::notes($notes), $service->key ?? '');
        $note = match (true) {
            null !== $open => "{$open['number']} {$open['title']} is open since {$now->telling->day($open['opened'])}; add to it instead?",
            '' === $outcome->stage() => '',
            default => 'the stage: '.RuleOutcome::why($outcome->stages),
        };

        return PlanLine::of('project', 'Project', $effect, $now->telling, Sources::of(['title' => $named ?? $asked, 'notes' => $notes]))->noting($note)
            ->because(
                [] === $outcome->leads ? ($service->rule ?? 'no service named, so it stays with the coordinator') : RuleOutcome::why($outcome->leads),
                [] === $outcome->leads ? (null === $service ? null : Leads::service($service->key)) : RuleOutcome::leadsTo($outcome->leads),
            )->offering($again);
    }

    /**
     * Answers for the notes: those that go there, and those that go nowhere else.
     *
     * @return list<Reading>
     */
    private function noted(PlanContext $now, bool $hasAsset): array
    {
        $homeless = static fn (Reading $reading): bool => !$reading->question->type->isFiles() && 0 === $reading->line
            && (null === $reading->question->destination || (null !== $reading->question->destination->customOf() && null === $now->desk->naming->customField($reading)) || (!$hasAsset && \in_array(
                $reading->question->destination,
                [Destination::AssetPlace, Destination::AssetNotes, Destination::AssetCustom],
                true,
            )));

        // What could not be read is told too: its text is all there is. A budget is kept as it was written.
        $unread = static fn (Reading $reading): bool => $reading->isUnread() && null !== $reading->question->destination && 0 === $reading->line && !\in_array(
            $reading->question->destination,
            [Destination::ProjectNotes, Destination::ProjectBudget],
            true,
        ) && !$homeless($reading);

        return [
            ...$now->inquiry->readings->allFor(Destination::ProjectNotes),
            ...array_values(array_filter($now->inquiry->readings->all, $homeless)),
            ...array_values(array_filter($now->inquiry->readings->all, $unread)),
        ];
    }

    /** @return list<PlanLine> */
    private function files(PlanContext $now, bool $hasProject = true): array
    {
        $lines = [];
        foreach ($now->inquiry->readings->all as $reading) {
            if ($reading->question->type->isFiles() && \is_array($reading->value)) {
                $lines[] = PlanLine::of(
                    "files.{$reading->question->key}",
                    'Files',
                    new AttachFiles($reading->question->key, \count($reading->value), $hasProject),
                    $now->telling,
                    Sources::of(['count' => $reading]),
                );
            }
        }
        $lines[] = PlanLine::of('sheet', 'Files', new KeepSheet($hasProject), $now->telling);

        return $lines;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\Messenger\Stamp\DelayStamp;
use Telamon\Checklists\TasksOfVisit;
use Telamon\Clients\Client;
use Telamon\Database\Ids;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentEvent;
use Telamon\Diary\AppointmentState;
use Telamon\Diary\FreeTimes;
use Telamon\Diary\Placing;
use Telamon\Diary\TimeTaken;
use Telamon\Diary\VisitType;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Messages\MessageQueue;
use Telamon\Projects\Project;
use Telamon\Record\ChangedMeanwhile;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;
use Telamon\Submissions\Submission;

/** Places, moves, changes and marks appointments by hand. Each is one change that one undo takes back. */
final readonly class ByHand
{
    private const LONGEST = 1440;

    public function __construct(
        private EntityManagerInterface $em,
        private Placing $placing,
        private FreeTimes $times,
        private WhoBooks $who,
        private Changes $changes,
        private MessageQueue $messages,
        private MessageBusInterface $bus,
        private SeriesDays $series,
        private TasksOfVisit $hanging,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param string $id what it is to be known by
     *
     * @return array{Appointment, Change, list<string>} the (first) appointment; what of a series could not be placed
     *
     * @throws Refusal
     */
    public function place(string $id, Edit $edit, Staff $by): array
    {
        $told = $this->told($edit, null);
        $change = $this->change('placed', $told['title'], $told['who'], $by, $told['submission']?->id);

        return $this->changes->carryOut($change, function () use ($id, $edit, $told, $change): array {
            $there = $this->em->find(Appointment::class, $id);
            if (null !== $there) {
                return [$there, $this->changes->thatMade($id) ?? $change, []];
            }
            $days = $this->series->of($edit, $told['start']);
            $series = \count($days) > 1 ? Ids::next() : null;
            $skipped = [];
            $first = null;
            foreach ($days as $i => $start) {
                $end = $start->modify('+'.($told['end']->getTimestamp() - $told['start']->getTimestamp()).' seconds');
                $against = true === $edit->yes('anyway') ? [] : $this->against($told['type'], $start, $end, $told['staff'], $told['also'], $told['place'], '');
                if ([] !== $against) {
                    $words = $start->format('D j M, H:i').': '.implode('; ', $against);
                    if (1 === \count($days)) {
                        throw new TimeTaken("$words. Place it anyway, or choose another time.");
                    }
                    $skipped[] = $words;
                    continue;
                }
                $appointment = new Appointment(
                    $told['title'],
                    $told['place'],
                    $told['staff'],
                    $told['project'],
                    $start,
                    $end,
                    $this->clock->now(),
                    null === $first && 0 === $i ? $id : Ids::next(),
                );
                if (null !== $told['type']) {
                    $appointment->isOf($told['type'], $told['type']->settings()->resources);
                }
                $appointment->isFor($told['client'], $told['project']);
                $appointment->goWith($told['staff'], $told['also']);
                $appointment->become($told['title'], $told['place'], $told['notes']);
                if (null !== $told['submission']) {
                    $who = $this->who->of(new Begun('', $told['submission'], null, null));
                    $appointment->bookedBy($who['name'], $who['email'], '', $told['submission']->id);
                }
                if (null !== $series) {
                    $appointment->belongToSeries($series);
                }
                $this->em->persist($appointment);
                $hours = $edit->whole('offer', 0, 336) ?? 0;
                if ($hours > 0) {
                    $appointment->offer(min($this->clock->now()->modify("+$hours hours"), $start));
                    $this->em->flush();
                } else {
                    $this->placing->happened($appointment, AppointmentEvent::Booked);
                }
                $this->tell($appointment);
                $first ??= $appointment;
            }

            return [$first ?? throw new TimeTaken('None of them is free. '.implode('. ', \array_slice($skipped, 0, 3)).'.'), $change, $skipped];
        });
    }

    /**
     * @return array{Appointment, Change, list<string>}
     *
     * @throws Refusal
     */
    public function edit(Appointment $appointment, Edit $edit, Staff $by): array
    {
        $told = $this->told($edit, $appointment);
        $moves = $told['start']->getTimestamp() !== $appointment->startsAt
            ->getTimestamp() || $told['end']
            ->getTimestamp() !== $appointment->endsAt
            ->getTimestamp() || $told['staff'] !== $appointment->staff || $told['also'] !== $appointment->also;
        $change = $this->change($moves ? 'moved' : 'changed', $told['title'], $appointment->with(), $by, $appointment->submissionId, $appointment);

        return $this->changes->carryOut($change, function () use ($appointment, $edit, $told, $moves, $change): array {
            $this->em->refresh($appointment);
            if ($appointment->version !== $edit->version()) {
                throw new ChangedMeanwhile('Somebody has changed this appointment since you looked at it. Nothing was changed; look at it again.');
            }
            if ($moves) {
                $against = true === $edit->yes('anyway')
                    ? []
                    : $this->against($told['type'], $told['start'], $told['end'], $told['staff'], $told['also'], $told['place'], $appointment->id);
                if ([] !== $against) {
                    throw new TimeTaken(implode('; ', $against).'. Move it anyway, or choose another time.');
                }
                $appointment->become($told['title'], $told['place'], $told['notes']);
                $this->placing->put($appointment, $told['start'], $told['end'], $told['staff'], $told['also']);
            } else {
                $appointment->become($told['title'], $told['place'], $told['notes']);
            }
            $appointment->isFor($told['client'], $told['project']);
            $this->tell($appointment);

            return [$appointment, $change, []];
        });
    }

    /** @return array{Appointment, Change, list<string>} */
    public function mark(Appointment $appointment, AppointmentState $state, Staff $by): array
    {
        $words = match ($state) {
            AppointmentState::Held => 'said that it was held:',
            AppointmentState::Missed => 'said that it was missed:',
            AppointmentState::Cancelled => 'cancelled',
            default => 'booked',
        };
        $change = $this->change($words, $appointment->title, $appointment->with(), $by, $appointment->submissionId, $appointment);

        return $this->changes->carryOut($change, function () use ($appointment, $state, $change): array {
            $this->em->refresh($appointment);
            if ($appointment->state !== $state) {
                if (\in_array($state, [AppointmentState::Held, AppointmentState::Missed], true) && $appointment->startsAt > $this->clock->now()) {
                    throw new InvalidInput('state', 'It has not begun yet.');
                }
                $this->placing->becomes($appointment, $state);
                $this->tell($appointment);
            }

            return [$appointment, $change, []];
        });
    }

    /**
     * What stands against a time, in words, and what hangs on a visit that would move there.
     *
     * @return array{against: list<string>, follows: array{moved: list<array{number: int, name: string, was: string, due: string}>, stays: list<array{number: int, name: string, due: string, earliest: string}>}}
     *
     * @throws Refusal
     */
    public function check(Edit $edit): array
    {
        $id = $edit->text('id', 36) ?? '';
        $visit = '' === $id ? null : $this->em->find(Appointment::class, $id);
        $told = $this->told($edit, $visit);
        $against = $this->against($told['type'], $told['start'], $told['end'], $told['staff'], $told['also'], $told['place'], $id);

        return ['against' => $against, 'follows' => null === $visit ? ['moved' => [], 'stays' => []] : $this->hanging->look($visit, $told['start'], $told['end'])];
    }

    /**
     * @param list<string> $also ids
     *
     * @return list<string>
     */
    private function against(?VisitType $type, \DateTimeImmutable $start, \DateTimeImmutable $end, Staff $staff, array $also, string $place, string $but): array
    {
        $minutes = intdiv($end->getTimestamp() - $start->getTimestamp(), 60);
        $against = [];
        foreach ([$staff, ...array_filter(array_map(fn (string $id): ?Staff => $this->em->find(Staff::class, $id), $also))] as $one) {
            $why = $this->times->whyNotByHand($type, $minutes, $place, $but, $one, $start);
            if (null !== $why) {
                $against[] = "{$one->name}: $why";
            }
        }

        return $against;
    }

    /**
     * @return array{type: VisitType|null, title: string, who: string, client: Client|null, project: Project|null, submission: Submission|null, staff: Staff, also: list<string>, start: \DateTimeImmutable, end: \DateTimeImmutable, place: string, notes: string}
     *
     * @throws Refusal
     */
    private function told(Edit $edit, ?Appointment $now): array
    {
        $typeId = $edit->text('type', 36);
        $type = null === $typeId
            ? $now?->type
            : ('' === $typeId ? null : $this->em->find(VisitType::class, $typeId) ?? throw new InvalidInput('type', 'Choose a kind that is there.'));
        $projectId = $edit->text('project', 36);
        $project = null === $projectId
            ? $now?->project
            : ('' === $projectId ? null : $this->em->find(Project::class, $projectId) ?? throw new InvalidInput('project', 'Choose a project that is there.'));
        $clientId = $edit->text('client', 36);
        $client = null === $clientId
            ? $project->client ?? $now?->client
            : ('' === $clientId ? $project?->client : $this->em->find(Client::class, $clientId) ?? throw new InvalidInput('client', 'Choose a client who is there.'));
        if (null !== $project && $project->client !== $client) {
            throw new InvalidInput('project', 'That project is another client’s.');
        }
        $submission = $this->em->find(Submission::class, $edit->text('submission', 36) ?? $now->submissionId ?? '');
        $staffId = $edit->text('staff', 36);
        $staff = null === $staffId ? $now?->staff : $this->em->find(Staff::class, $staffId);
        if (null === $staff || (!$staff->active && $staff !== $now?->staff)) {
            throw new InvalidInput('staff', 'Choose who goes.');
        }
        $start = $this->moment($edit, 'startsAt') ?? $now->startsAt ?? throw new InvalidInput('startsAt', 'Say when it begins.');
        $end = $this->moment($edit, 'endsAt') ?? $start->modify(
            '+'.(null === $now ? 60 * ($type?->settings()->lengths[0] ?? 60) : $now->endsAt->getTimestamp() - $now->startsAt->getTimestamp()).' seconds',
        );
        if ($end <= $start || $end->getTimestamp() - $start->getTimestamp() > 60 * self::LONGEST) {
            throw new InvalidInput('endsAt', 'It ends after it begins, and within a day.');
        }
        if ($start < $this->clock->now()->modify('-400 days') || $start > $this->clock->now()->modify('+5 years')) {
            throw new InvalidInput('startsAt', 'That is too long ago, or too far ahead.');
        }
        $title = $edit->text('title', 100) ?? $now->title ?? '';
        $address = null === $submission
            ? (null === $client ? '' : $this->who->of(new Begun('', null, $client, $project))['address'])
            : $this->who->of(new Begun('', $submission, null, null))['address'];
        $usual = null === $type || $type->settings()->place->isOnTheRoad() ? $address : $type->settings()->address;

        return [
            'type' => $type, 'title' => '' === $title
                ? $type->name ?? throw new InvalidInput('title', 'Say what it is.')
                : $title, 'who' => $client?->name() ?? ($submission->name ?? ''),
            'client' => $client, 'project' => $project, 'submission' => $submission, 'staff' => $staff,
            'also' => array_values(array_diff($edit->texts('also', 20, 36) ?? $now->also ?? [], [$staff->id])),
            'start' => $start, 'end' => $end, 'place' => $edit->text('place', 300) ?? $now->place ?? mb_substr($usual, 0, 300),
            'notes' => $edit->text('notes', 5000) ?? $now->notes ?? '',
        ];
    }

    private function moment(Edit $edit, string $field): ?\DateTimeImmutable
    {
        $text = $edit->text($field, 40);
        if (null === $text || '' === $text) {
            return null;
        }
        if (1 !== preg_match('/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2})?(Z|[+-]\d{2}:\d{2})$/D', $text)) {
            throw new InvalidInput($field, 'Write a moment like 2026-12-01T09:00:00+00:00.');
        }
        try {
            return new \DateTimeImmutable($text);
        } catch (\Exception) {
            throw new InvalidInput($field, 'There is no such time.');
        }
    }

    /** The client is told once the moment in which undo stops it is over. */
    private function tell(Appointment $appointment): void
    {
        $this->bus->dispatch(new TellClient($appointment->id), [new DelayStamp(1000 * $this->messages->holdSeconds())]);
    }

    private function change(string $did, string $title, string $who, Staff $by, ?string $submission, ?Appointment $about = null): Change
    {
        return $this->changes->change(Act::of(ChangeKind::Edit, "$did $title".('' === $who ? '' : " for $who"), $by)->from($submission)->about($about));
    }
}

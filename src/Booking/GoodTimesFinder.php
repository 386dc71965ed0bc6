<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Core\Booking\FreeTime;
use Telamon\Core\Booking\GoodTimes;
use Telamon\Core\Booking\Neighbours;
use Telamon\Core\Form\Destination;
use Telamon\Core\Planning\AskedService;
use Telamon\Diary\Appointment;
use Telamon\Diary\Calendars;
use Telamon\Diary\FreeTimes;
use Telamon\Diary\RoadTable;
use Telamon\Diary\VisitType;
use Telamon\Diary\Wanted;
use Telamon\Projects\Project;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Staff\Staff;
use Telamon\Submissions\ReadAnswers;
use Telamon\Submissions\Submission;

/** The next five good times for a visit, as GoodTimes in the contract. */
final readonly class GoodTimesFinder
{
    private const MOST = 5;
    private const DAYS = 14;

    public function __construct(
        private EntityManagerInterface $em,
        private FreeTimes $times,
        private Calendars $calendars,
        private RoadTable $roads,
        private WhoBooks $who,
        private BeforeGoing $before,
        private ReadAnswers $answered,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidInput
     */
    public function find(Edit $asked): array
    {
        $project = $this->em->find(Project::class, $asked->text('project', 36) ?? '');
        $client = $project->client ?? $this->em->find(Client::class, $asked->text('client', 36) ?? '');
        $submission = $this->em->find(Submission::class, $asked->text('submission', 36) ?? '');
        $type = $this->type($asked->text('type', 36) ?? '', $project, $submission);
        $length = $asked->whole('length', 1, 1440) ?? $type->settings()->lengths[0];
        $begun = new Begun('', $submission, $client, $project);
        $who = null === $submission && null === $client ? null : $this->who->of($begun);
        $address = $asked->text('address', 300) ?? $who['address'] ?? '';
        $zone = $this->business->zone();
        $today = $this->clock->now()->setTimezone($zone)->format('Y-m-d');
        $from = max($today, $asked->day('from')?->format('Y-m-d') ?? $today);
        $to = (new \DateTimeImmutable($from))->modify('+'.(self::DAYS - 1).' days')->format('Y-m-d');
        $part = match ($asked->text('part', 10)) {
            'morning' => [0, 720],
            'afternoon' => [720, 1440],
            default => null,
        };
        // She may place what clients may not book: the notice is hers.
        $wanted = new Wanted($type, $length, $address, $asked->text('with', 36) ?? '', notice: 0);
        $neighbours = $this->neighbours($from, $to);
        $found = [];
        foreach ($this->times->find($wanted, $from, $to) as $free) {
            foreach ($free['crews'] as $crew) {
                $found[] = new FreeTime(
                    $crew,
                    $free['start']->getTimestamp(),
                    60 * (int) $free['start']->format('G') + (int) $free['start']->format('i'),
                    $free['start']->format('Y-m-d'),
                    $this->around($neighbours, $crew[0] ?? '', $free['start'], $length, $type->settings()->place->isOnTheRoad() ? $address : ''),
                );
            }
        }
        $best = (new GoodTimes(
            $part,
            $this->business->business()->littleDriving,
            $project->lead->id ?? '',
            $this->business->business()->smallGap,
            $length,
        ))->next($found, self::MOST);

        return ['address' => $address, 'onTheRoad' => $type->settings()->place->isOnTheRoad(), 'verify' => null === $who ? [] : $this->before->verify($type, $who, $address, $begun), 'length' => $length, 'type' => $type->id, 'who' => $who['name'] ?? '', 'items' => array_map(fn (array $one): array => [
            'startsAt' => (new \DateTimeImmutable("@{$one['time']->start}"))->setTimezone($zone)->format(\DATE_RFC3339),
            'endsAt' => (new \DateTimeImmutable('@'.($one['time']->start + 60 * $length)))->setTimezone($zone)->format(\DATE_RFC3339),
            'staff' => array_values(array_filter(array_map(
                fn (string $id): ?array => null === ($staff = $this->em->find(Staff::class, $id)) ? null : AppointmentView::person($staff),
                $one['time']->crew,
            ))),
            'added' => $one['time']->neighbours->added, 'why' => $one['why'],
        ], $best)];
    }

    /** The one that is named; else the first that fits the service that is asked for, else the first. */
    private function type(string $id, ?Project $project, ?Submission $submission): VisitType
    {
        if ('' !== $id) {
            return $this->em->find(VisitType::class, $id) ?? throw new InvalidInput('type', 'Choose what it is.');
        }
        $service = $project->service ?? '';
        if (null !== $submission) {
            $service = AskedService::of($this->answered->of($submission)->for(Destination::ProjectService), $this->business->serviceNames());
        }
        $all = $this->em->getRepository(VisitType::class)->findBy(['live' => true], ['position' => 'ASC']);
        foreach ($all as $type) {
            if ('' !== $service && $type->settings()->service === $service) {
                return $type;
            }
        }

        return $all[0] ?? throw new InvalidInput('type', 'No kind of visit is set up yet.');
    }

    /** @return array<string, list<Appointment>> by “id day”, in order of time */
    private function neighbours(string $from, string $to): array
    {
        $by = [];
        foreach ($this->calendars->appointments($from, $to) as $one) {
            foreach ($one->crew() as $id) {
                $by[$id.' '.$one->startsAt->setTimezone($this->business->zone())->format('Y-m-d')][] = $one;
            }
        }

        return $by;
    }

    /** @param array<string, list<Appointment>> $by */
    private function around(array $by, string $id, \DateTimeImmutable $start, int $length, string $address): Neighbours
    {
        $before = $after = null;
        foreach ($by["$id {$start->format('Y-m-d')}"] ?? [] as $one) {
            if ($one->endsAt <= $start) {
                $before = $one;
            } elseif ($one->startsAt >= $start->modify("+$length minutes")) {
                $after ??= $one;
            }
        }
        $roads = $this->roads->roads();
        $home = $this->business->business()->address;
        $from = null === $before ? $home : $this->calendars->whereOf($before);
        $to = null === $after ? $home : $this->calendars->whereOf($after);
        [$there, $on, $straight] = [$roads->between($from, $address), $roads->between($address, $to), $roads->between($from, $to)];

        return new Neighbours(
            $before?->endsAt->getTimestamp(),
            $after?->startsAt->getTimestamp(),
            $before?->with() ?? '',
            $after?->with() ?? '',
            '' === $address ? 0 : max(0, $there + $on - $straight),
            null === $after ? $there : (null === $before ? $on : min($there, $on)),
        );
    }
}

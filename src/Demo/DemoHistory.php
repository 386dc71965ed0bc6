<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Clients\ContactPoint;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Diary\VisitType;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Projects\Project;
use Telamon\Staff\Staff;

/** Who was on file before, and who goes where these days. */
final readonly class DemoHistory
{
    public function __construct(private EntityManagerInterface $em, private Changes $changes, private Profile $business)
    {
    }

    /**
     * @param non-empty-list<array{given: string, family: string, email: string, phone: string, address: string}> $people
     *
     * @return non-empty-list<array{given: string, family: string, email: string, phone: string, address: string, piano: string}>
     */
    public function clients(array $people, DemoPeople $pool, DemoDice $dice, \DateTimeImmutable $today): array
    {
        $known = array_map(static fn (array $person): array => $person + ['piano' => $pool->piano()], $people);
        $this->changes->carryOut(Act::of(ChangeKind::Setup, 'put the card index on file')->at($today->modify('-95 days')), function () use ($known, $dice, $today): void {
            foreach ($known as $i => $person) {
                $client = new Client($person['given'], $person['family'], $person['address'], $today->modify('-'.$dice->between(200, 2200).' days'));
                $this->em->persist($client);
                $this->em->persist(new ContactPoint($client, ContactKind::Email, $person['email'], mb_strtolower($person['email'])));
                // One card in five has no number.
                if (4 !== $i % 5) {
                    $this->em->persist(new ContactPoint($client, ContactKind::Phone, $person['phone'], $person['phone']));
                }
                $this->em->persist(new Asset($client, $person['piano'], $person['address']));
            }
        });

        return $known;
    }

    /** Appointments from the days before to a week on, on days that are worked. */
    public function appointments(\DateTimeImmutable $today, \DateTimeImmutable $now): void
    {
        $staff = [];
        foreach ($this->em->getRepository(Staff::class)->findAll() as $member) {
            $staff[$member->initials] = $member;
        }
        $projects = [];
        foreach ($staff as $initials => $member) {
            $projects[$initials] = $this->em->getRepository(Project::class)->findBy(['lead' => $member], ['number' => 'DESC'], 9);
        }
        $types = [];
        foreach ($this->em->getRepository(VisitType::class)->findAll() as $type) {
            $types[$type->slug] = $type;
        }
        $calendar = $this->business->workingDays();
        $zone = $this->business->zone();
        $this->changes->carryOut(Act::of(ChangeKind::Setup, 'wrote the diary')->at($now), function () use ($today, $now, $calendar, $zone, $projects, $staff, $types): void {
            for ($offset = -5; $offset <= 12; ++$offset) {
                $day = $today->modify("$offset days");
                if (!$calendar->isWorked($day)) {
                    continue;
                }
                foreach (DemoWords::VISITS as $i => [$who, $from, $to, $title, $type]) {
                    // Today is full; other days have gaps, the more the later.
                    if (0 === $offset || 0 !== ($i + $offset + 10) % ($offset > 6 ? 2 : 3)) {
                        $date = $day->format('Y-m-d');
                        // Once a week somebody is sent to two places at a time.
                        [$from, $to] = 4 === $i && 2 === $offset ? ['10:00', '11:30'] : [$from, $to];
                        $this->appointment(
                            $projects[$who][($offset + 5 + $i) % \count($projects[$who])],
                            $title,
                            $types[$type] ?? null,
                            $staff[$who],
                            new \DateTimeImmutable("$date $from", $zone),
                            new \DateTimeImmutable("$date $to", $zone),
                            5 === $i && $offset > 0,
                            $now,
                        );
                    }
                }
            }
            $this->evening($projects, $types['workshop-evening'] ?? null, $calendar->add($today, 3), $staff['SV'] ?? null, $zone, $now);
        });
    }

    /**
     * An evening that is full: whoever comes now may wait for a place.
     *
     * @param array<string, list<Project>> $projects
     */
    private function evening(array $projects, ?VisitType $type, \DateTimeImmutable $day, ?Staff $staff, \DateTimeZone $zone, \DateTimeImmutable $now): void
    {
        if (null === $type || null === $staff) {
            return;
        }
        $clients = [];
        foreach (array_merge(...array_values($projects)) as $project) {
            $clients[$project->client->id] = $project->client;
        }
        $from = new \DateTimeImmutable($day->format('Y-m-d').' 16:00', $zone);
        foreach (\array_slice(array_values($clients), 0, $type->settings()->seats) as $client) {
            $appointment = new Appointment($type->name, 'Marrowby Piano Workshop', $staff, null, $from, $from->modify('+90 minutes'), $now);
            $appointment->isOf($type, []);
            $appointment->isFor($client, null);
            $this->em->persist($appointment);
        }
    }

    private function appointment(
        Project $project,
        string $title,
        ?VisitType $type,
        Staff $staff,
        \DateTimeImmutable $from,
        \DateTimeImmutable $to,
        bool $isOffered,
        \DateTimeImmutable $now,
    ): void {
        $stands = $project->asset->place ?? '';
        $appointment = new Appointment($title, '' === $stands ? $project->client->address : $stands, $staff, $project, $from, $to, $from->modify('-6 days'));
        $appointment->travel(true);
        if (null !== $type) {
            $appointment->isOf($type, $type->settings()->resources);
        }
        if ($isOffered && $from > $now->modify('+1 day')) {
            $appointment->offer($from->modify('-1 day'));
        } elseif ($to < $now) {
            $appointment->becomes(AppointmentState::Held);
        }
        $this->em->persist($appointment);
    }
}

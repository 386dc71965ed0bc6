<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Tasks\AppointmentOfProject;

/** The first booked appointment of a project; where none is booked, the last that was held. */
final readonly class ProjectAppointment implements AppointmentOfProject
{
    private const MOST = 200;

    public function __construct(private EntityManagerInterface $em, private Profile $business)
    {
    }

    public function of(string $project): ?\DateTimeImmutable
    {
        $repository = $this->em->getRepository(Appointment::class);
        // Sorted here, as one that is only looked at may stand at another time than on file.
        $booked = $repository->findBy(['project' => $project, 'state' => AppointmentState::Booked], ['startsAt' => 'ASC'], self::MOST);
        usort($booked, static fn (Appointment $a, Appointment $b): int => $a->startsAt <=> $b->startsAt);
        $found = $booked[0] ?? $repository->findOneBy(['project' => $project, 'state' => AppointmentState::Held], ['startsAt' => 'DESC']);

        return $found?->startsAt->setTimezone($this->business->zone());
    }
}

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
    public function __construct(private EntityManagerInterface $em, private Profile $business)
    {
    }

    public function of(string $project): ?\DateTimeImmutable
    {
        $repository = $this->em->getRepository(Appointment::class);
        $found = $repository->findOneBy(['project' => $project, 'state' => AppointmentState::Booked], ['startsAt' => 'ASC'])
            ?? $repository->findOneBy(['project' => $project, 'state' => AppointmentState::Held], ['startsAt' => 'DESC']);

        return $found?->startsAt->setTimezone($this->business->zone());
    }
}

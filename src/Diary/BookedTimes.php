<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Core\Booking\BookedTime;
use Telamon\Core\Booking\OntoProject;
use Telamon\Staff\Staff;

/** What was booked with a form, and how it is told. */
final readonly class BookedTimes
{
    public function __construct(private EntityManagerInterface $em, private Profile $business)
    {
    }

    public function of(string $submissionId): ?BookedTime
    {
        $appointment = $this->em->getRepository(Appointment::class)->findOneBy(
            ['submissionId' => $submissionId, 'state' => [AppointmentState::Booked, AppointmentState::Held, AppointmentState::Missed]],
            ['startsAt' => 'ASC'],
        );
        if (null === $appointment) {
            return null;
        }
        $settings = $appointment->type?->settings();

        return new BookedTime(
            $appointment->id,
            $appointment->title,
            $this->when($appointment),
            $this->with($appointment),
            $settings->onto ?? OntoProject::Joins,
            $settings->service ?? '',
            $appointment->startsAt->setTimezone($this->business->zone()),
        );
    }

    /** “Monday 30 March, 09:30 to 10:30”, by the clock of the business. */
    public function when(Appointment $appointment): string
    {
        $zone = $this->business->zone();

        return $appointment->startsAt->setTimezone($zone)->format('l j F, H:i').' to '.$appointment->endsAt->setTimezone($zone)->format('H:i');
    }

    /** “Teo Ashbrand and Pim Tarrow”. */
    public function with(Appointment $appointment): string
    {
        $names = [$appointment->staff->name];
        foreach ($appointment->also as $id) {
            $names[] = $this->em->find(Staff::class, $id)->name ?? '';
        }

        return implode(' and ', array_filter($names, static fn (string $name): bool => '' !== $name));
    }
}

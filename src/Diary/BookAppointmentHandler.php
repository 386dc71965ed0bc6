<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\Client;
use Telamon\Core\Effects\BookAppointment;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Projects\Project;

/**
 * Gives what was booked with a form to the client and the project of its plan.
 *
 * @implements EffectHandler<BookAppointment>
 */
final readonly class BookAppointmentHandler implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em, private Placing $placing)
    {
    }

    public static function of(): string
    {
        return BookAppointment::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof BookAppointment);
        $appointment = $this->em->find(Appointment::class, $effect->id);
        if (null === $appointment) {
            return [];
        }
        $isNew = null === $appointment->client;
        $appointment->isFor($made->the(Client::class), $effect->hasProject ? $made->find(Project::class) : null);
        if ($isNew) {
            // Rules that wait for a booking speak once it is known whose it is.
            $this->placing->happened($appointment, AppointmentEvent::Booked);
        }

        return [$appointment];
    }
}

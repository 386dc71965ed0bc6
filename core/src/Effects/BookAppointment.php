<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Essential;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Gives an appointment that was booked with a form to the client and the project that come of it. */
final readonly class BookAppointment implements Essential
{
    /**
     * @param string $id of the appointment
     * @param string $when in words
     * @param string $with who comes, in words
     */
    public function __construct(public string $id, public string $title, public string $when, public string $with, public bool $hasProject)
    {
    }

    public static function name(): string
    {
        return 'appointment.book';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::record('appointment', $this->id, $this->title), Part::words(' is booked for '), Part::value($this->when), Part::words(' with '), Part::value($this->with)];
    }
}

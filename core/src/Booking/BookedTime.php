<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** A time that is booked already for what is being planned. */
final readonly class BookedTime
{
    /**
     * @param string $id of the appointment
     * @param string $when in words
     * @param \DateTimeImmutable|null $at the moment, in the business's zone
     * @param string $with who comes, in words
     * @param string $service key of the service that a project of it is for; empty for none
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $when,
        public string $with,
        public OntoProject $onto,
        public string $service,
        public ?\DateTimeImmutable $at = null,
    ) {
    }
}

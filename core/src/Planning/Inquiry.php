<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Booking\BookedTime;
use Telamon\Core\Booking\TimesAhead;
use Telamon\Core\Form\Purpose;
use Telamon\Core\Form\Reading;
use Telamon\Core\Form\Readings;

/** What came: the answers as they were read, and what stood in the form when it was sent out. */
final readonly class Inquiry
{
    /**
     * @param Purpose $purpose what the form's submissions do
     * @param string $received ISO 8601 day on which it came, in the business's time zone; empty where nothing came yet
     * @param BookedTime|null $booked the time that was booked with it; null for none
     * @param string $title of the form, empty where nobody knows
     * @param TimesAhead|null $times where free times are found; null where nothing is to be booked
     * @param Readings|null $sent of what stood in the form when it was sent out; null where it was not filled in beforehand
     */
    public function __construct(
        public Readings $readings,
        public Purpose $purpose = Purpose::Open,
        public ?Readings $sent = null,
        public string $received = '',
        public ?BookedTime $booked = null,
        public ?TimesAhead $times = null,
        public string $title = '',
    ) {
    }

    /** The value that was sent out with the form in the place of an answer; null where it was not filled in beforehand. */
    public function sentValue(Reading $reading): ?string
    {
        return $this->sentReading($reading)?->string();
    }

    /** The same as it was written. */
    public function sentText(Reading $reading): ?string
    {
        return $this->sentReading($reading)?->text;
    }

    private function sentReading(Reading $reading): ?Reading
    {
        foreach ($this->sent->all ?? [] as $sent) {
            if ($sent->question->key === $reading->question->key) {
                return $sent;
            }
        }

        return null;
    }
}

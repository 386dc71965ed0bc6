<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Telamon\Staff\Staff;

/** What is known of a submission beside its answers, as it arrives. */
final readonly class Arriving
{
    /**
     * @param string $channel “page” or “embed”; “phone”, “desk” or “mail” where staff wrote it down
     * @param string|null $key the same key again gives the same submission
     * @param string|null $suspicion why it is set aside at once, as what looks unwanted
     * @param Submission|null $continues the short form that this one carries on
     * @param Staff|null $by who wrote it down; null where the client sent it
     * @param bool $answered whether whoever asked was answered at once
     * @param string $bookingPage ending of the booking page that it was filled in for; empty for none
     * @param bool $asFound whether it was no form at all: a letter, taken as it is
     * @param array<string, mixed> $sent what stood in the form when it was sent out, by question key
     */
    public function __construct(
        public string $channel,
        public ?string $key = null,
        public ?string $suspicion = null,
        public Origin $origin = new Origin(),
        public ?Submission $continues = null,
        public array $sent = [],
        public ?Staff $by = null,
        public bool $answered = false,
        public string $bookingPage = '',
        public bool $asFound = false,
    ) {
    }

    /** Whether not all has to be there that the form asks: staff wrote down what was said, or it came as a letter. */
    public function isLenient(): bool
    {
        return $this->asFound || null !== $this->by;
    }
}

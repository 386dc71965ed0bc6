<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Telamon\Business\Profile;
use Telamon\Core\Answers\SubmissionReader;
use Telamon\Core\Form\Readings;

/** The answers of a submission as they are read: words that count from a day count from the one on which it came. */
final readonly class ReadAnswers
{
    public function __construct(private SubmissionReader $reader, private Profile $business)
    {
    }

    public function of(Submission $submission): Readings
    {
        return $this->reader->read($submission->formVersion->definition(), $submission->answers, $this->given($submission));
    }

    /** The day on which it came, at the business. */
    public function given(Submission $submission): \DateTimeImmutable
    {
        return $submission->receivedAt->setTimezone($this->business->zone());
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Reading\AmountReader;
use Telamon\Core\Reading\EmailReader;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Time\AnsweredDays;

/** What kinds of questions read answers with. */
final readonly class Readers
{
    public function __construct(public EmailReader $emails, public PhoneReader $phones, public AnsweredDays $days, public AmountReader $amounts = new AmountReader())
    {
    }

    /** For answers that were given on this day. */
    public function on(?\DateTimeImmutable $given): self
    {
        return new self($this->emails, $this->phones, $this->days->on($given), $this->amounts);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Reading\AmountReader;
use Telamon\Core\Reading\EmailReader;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Time\DayReader;

/** What kinds of questions read answers with. */
final readonly class Readers
{
    public function __construct(public EmailReader $emails, public PhoneReader $phones, public DayReader $days, public AmountReader $amounts = new AmountReader())
    {
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Time\DayOrder;

/** When and where an answer is given: in which order the form writes days, and what day it is. */
final readonly class Asking
{
    /** @param \DateTimeImmutable $today the day of sending, in the business's time zone */
    public function __construct(public Readers $readers, public DayOrder $order, public \DateTimeImmutable $today)
    {
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Staff;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** A kind of thing that belongs to somebody of the staff and goes to somebody else when they leave. */
#[AutoconfigureTag('telamon.hands_over')]
interface HandsOver
{
    /** So many of them, in words: “1 open task”, “4 open tasks”. */
    public function what(int $count): string;

    public function count(Staff $from): int;

    /** Call it inside a change; it does not flush. */
    public function hand(Staff $from, Staff $to): void;
}

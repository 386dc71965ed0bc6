<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

use Telamon\Core\Time\WorkingDays;

/** Checklists to be merged, and between which days. */
final readonly class Outline
{
    /** @param list<WorkList> $lists */
    public function __construct(public \DateTimeImmutable $start, public ?\DateTimeImmutable $readyBy, public WorkingDays $calendar, public array $lists)
    {
    }
}

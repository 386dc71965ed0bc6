<?php

declare(strict_types=1);

namespace Telamon\Tasks;

/** The appointment that due days of a project's tasks may be counted from. */
interface AppointmentOfProject
{
    /** @return \DateTimeImmutable|null the next one, or the last there was, in the business's zone; null where there is none */
    public function of(string $project): ?\DateTimeImmutable;
}

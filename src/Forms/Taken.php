<?php

declare(strict_types=1);

namespace Telamon\Forms;

/** How much forms have taken so far. */
interface Taken
{
    /** What counts against a form's limit: not what looked machine-made. */
    public function of(string $formId): int;

    /** @return array<string, int> by form id; forms without any are left out */
    public function byForm(): array;
}

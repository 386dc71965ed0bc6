<?php

declare(strict_types=1);

namespace Telamon\Record;

/** A record that may be kept from those who see only their own work, though it belongs to that. */
interface ForOffice
{
    public function isForOffice(): bool;
}

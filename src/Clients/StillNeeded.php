<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** A client on whom something hangs cannot be deleted. */
final class StillNeeded extends Refusal
{
    /** @param list<array{what: string, count: int}> $holds */
    public function __construct(string $name, array $holds)
    {
        parent::__construct("$name cannot be deleted: ".implode(', ', array_column($holds, 'what')).' would be without a client. Archive them instead.');
    }

    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Not deleted';
    }
}

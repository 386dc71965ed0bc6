<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** An item of a checklist as work that takes time. */
final readonly class Work
{
    /**
     * @param string $key the checklist's key, a stroke and its own
     * @param int $takes working days, 0 for the same day
     * @param array<string, string> $waitsFor by full key what has to be done before, as it was written
     * @param int $from working day before which it is not begun, whatever it waits for
     */
    public function __construct(public string $key, public int $takes, public array $waitsFor, public ?OwnDue $due, public int $from = 0)
    {
    }
}

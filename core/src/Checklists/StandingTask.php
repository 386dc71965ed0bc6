<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** How an item stands on a project that is under way, and what people have set of it. */
final readonly class StandingTask
{
    /**
     * @param string $key the checklist's key, a stroke and its own
     * @param 'open'|'done'|'removed' $state
     * @param string|null $due ISO 8601 day
     * @param bool $dueByHand whether that day stays
     * @param list<string>|null $waitsFor full keys set by hand; null for what its item names
     * @param int|null $takes working days set by hand; null for what its item takes
     * @param int $notBefore working day from today on which it ends at the earliest, whatever it waits for: a day that somebody has set
     */
    public function __construct(
        public string $key,
        public string $state,
        public ?string $due,
        public bool $dueByHand,
        public ?array $waitsFor,
        public ?int $takes,
        public int $notBefore = 0,
    ) {
    }
}

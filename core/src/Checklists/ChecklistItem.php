<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** One task that a checklist asks for. */
final readonly class ChecklistItem
{
    /**
     * @param string $key unlike all others of its checklist
     * @param string $name may hold merge fields
     * @param int $takes working days, 0 for the same day
     * @param Due|null $due null where it follows from what it waits for
     * @param list<string> $waitsFor keys of items of this checklist, or of another: its key, a stroke and the item's
     * @param string $group under which heading it stands; empty for none
     * @param int $effort minutes of work
     * @param array<array-key, mixed>|null $if a condition as ConditionReader reads it; null for always
     * @param string $approval role that has to approve it; empty for none
     * @param bool $shown whether the client sees it
     * @param list<string> $steps to tick within it
     */
    public function __construct(
        public string $key,
        public string $name,
        public Doer $doer,
        public int $takes = 1,
        public ?Due $due = null,
        public array $waitsFor = [],
        public string $group = '',
        public int $effort = 0,
        public string $words = '',
        public ?array $if = null,
        public ?DoneBy $doneBy = null,
        public string $approval = '',
        public bool $shown = false,
        public array $steps = [],
    ) {
    }

    /** @return array<string, mixed> as ChecklistItem in the contract */
    public function toArray(): array
    {
        return [
            'key' => $this->key, 'name' => $this->name, 'group' => $this->group, 'words' => $this->words,
            'doer' => $this->doer->kind->value, 'among' => $this->doer->among, 'takes' => $this->takes, 'effort' => $this->effort,
            'due' => $this->due?->toArray(), 'waitsFor' => $this->waitsFor, 'if' => $this->if, 'doneBy' => $this->doneBy?->value,
            'approval' => $this->approval, 'shown' => $this->shown, 'steps' => $this->steps,
        ];
    }
}

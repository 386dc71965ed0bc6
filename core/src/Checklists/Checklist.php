<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** A reusable list of task items. The base one joins every project; an add-on says after which item it joins. */
final readonly class Checklist
{
    /**
     * @param string $key unlike that of all others
     * @param list<ChecklistItem> $items in their order
     * @param string $joinsAfter key of another checklist, a stroke and its item's, or @ and the name of a group, after whose last item it joins; empty: it stands after those before it
     * @param int $version counted up with every change
     */
    public function __construct(public string $key, public string $name, public array $items, public string $joinsAfter = '', public string $purpose = '', public int $version = 1)
    {
    }

    public function fullKey(ChecklistItem $item): string
    {
        return "{$this->key}/{$item->key}";
    }

    /** @return string|null the full key of the last item of a group; null where it has none */
    public function endOf(string $group): ?string
    {
        foreach (array_reverse($this->items) as $item) {
            if ($group === $item->group) {
                return $this->fullKey($item);
            }
        }

        return null;
    }

    /** @return array{key: string, name: string, purpose: string, joinsAfter: string, items: list<array<string, mixed>>} as ChecklistContent in the contract */
    public function toArray(): array
    {
        return [
            'key' => $this->key,
            'name' => $this->name,
            'purpose' => $this->purpose,
            'joinsAfter' => $this->joinsAfter,
            'items' => array_map(static fn (ChecklistItem $item): array => $item->toArray(), $this->items),
        ];
    }
}

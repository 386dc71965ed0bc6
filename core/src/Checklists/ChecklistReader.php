<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** Reads a checklist from its stored form, which is that of the contract and of files. */
final readonly class ChecklistReader
{
    public const MOST_ITEMS = 200;
    private const KEY = '/^[a-z0-9][a-z0-9_-]{0,59}$/D';

    public function __construct(private ItemReader $items = new ItemReader())
    {
    }

    /**
     * @param array<array-key, mixed> $data
     *
     * @throws InvalidChecklist
     */
    public function read(array $data, int $version = 1): Checklist
    {
        $key = $data['key'] ?? null;
        if (!\is_string($key) || 1 !== preg_match(self::KEY, $key)) {
            throw new InvalidChecklist('key', 'A key has small letters, figures, - and _, 60 at most.');
        }
        $name = \is_string($data['name'] ?? null) ? trim($data['name']) : '';
        if ('' === $name || mb_strlen($name) > 100) {
            throw new InvalidChecklist('name', 'Give the checklist a name, of 100 characters at most.');
        }
        $purpose = $data['purpose'] ?? '';
        if (!\is_string($purpose) || mb_strlen($purpose) > 500) {
            throw new InvalidChecklist('purpose', 'Say what it is for in 500 characters at most.');
        }
        $joins = $data['joinsAfter'] ?? '';
        if (!\is_string($joins) || ('' !== $joins && 1 !== preg_match('~^[a-z0-9_-]{1,60}/(?:[a-z0-9_-]{1,60}|@[^\p{Cc}]{1,60})$~Du', $joins))) {
            throw new InvalidChecklist('joinsAfter', 'Say after which item it joins: the key of its checklist, a stroke and its own, or @ and the name of a group.');
        }
        if (str_starts_with($joins, "$key/")) {
            throw new InvalidChecklist('joinsAfter', 'It cannot join after an item of its own.');
        }

        return new Checklist($key, $name, $this->items($data['items'] ?? null), $joins, $purpose, $version);
    }

    /**
     * @return list<ChecklistItem>
     *
     * @throws InvalidChecklist
     */
    private function items(mixed $rows): array
    {
        if (!\is_array($rows) || !array_is_list($rows) || \count($rows) > self::MOST_ITEMS) {
            throw new InvalidChecklist('items', 'Send a list of items, '.self::MOST_ITEMS.' at most.');
        }
        $items = [];
        $at = [];
        foreach ($rows as $i => $row) {
            $item = $this->items->read($row, "items.$i");
            if (isset($at[$item->key])) {
                throw new InvalidChecklist("items.$i.key", "Item {$at[$item->key]} has the key {$item->key} already.");
            }
            $at[$item->key] = $i + 1;
            $items[] = $item;
        }

        return $items;
    }
}

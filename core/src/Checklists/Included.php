<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

use Telamon\Core\Condition\ConditionReader;
use Telamon\Core\Condition\Facts;
use Telamon\Core\Condition\InvalidCondition;

/** Of checklists, the items whose conditions hold, and what each then waits for. */
final readonly class Included
{
    /** @var array<string, array{key: string, item: ChecklistItem, checklist: Checklist}> by full key */
    public array $all;

    /** @var array<string, true> full keys of those that are left out */
    private array $out;

    /** @param list<Checklist> $lists no key twice */
    public function __construct(array $lists, Facts $facts)
    {
        $all = [];
        $out = [];
        foreach ($lists as $list) {
            foreach ($list->items as $item) {
                $key = $list->fullKey($item);
                $all[$key] = ['key' => $key, 'item' => $item, 'checklist' => $list];
                if (!self::holds($item, $facts)) {
                    $out[$key] = true;
                }
            }
        }
        $this->all = $all;
        $this->out = $out;
    }

    public function has(string $key): bool
    {
        return isset($this->all[$key]) && !isset($this->out[$key]);
    }

    /** @return list<array{key: string, item: ChecklistItem, checklist: Checklist}> */
    public function leftOut(): array
    {
        return array_values(array_intersect_key($this->all, $this->out));
    }

    /** The full key that something written in an item of this checklist means; null where nothing here has it. */
    public function meant(string $written, Checklist $in): ?string
    {
        return match (true) {
            isset($this->all["{$in->key}/$written"]) => "{$in->key}/$written",
            isset($this->all[$written]) => $written,
            default => null,
        };
    }

    /**
     * What one is waited for in the place of one that is left out: what that waits for itself.
     *
     * @return array<string, string> full keys, by themselves
     */
    public function waits(string $key): array
    {
        $found = [];
        $seen = [];
        $look = [$key];
        while ([] !== $look) {
            $at = $this->all[array_shift($look)];
            foreach ($at['item']->waitsFor as $written) {
                $meant = $this->meant($written, $at['checklist']);
                if (null === $meant || isset($seen[$meant])) {
                    continue;
                }
                $seen[$meant] = true;
                if (isset($this->out[$meant])) {
                    $look[] = $meant;
                } else {
                    $found[$meant] = $meant;
                }
            }
        }

        return $found;
    }

    private static function holds(ChecklistItem $item, Facts $facts): bool
    {
        if (null === $item->if) {
            return true;
        }
        try {
            return ConditionReader::read($item->if)->holds($facts);
        } catch (InvalidCondition) {
            // One that an older version kept and that cannot be read any more leaves nothing out.
            return true;
        }
    }
}

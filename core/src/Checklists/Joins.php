<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** After which items checklists join, by full key. */
final readonly class Joins
{
    /** @var array<string, Checklist> by key */
    private array $lists;

    /** @param list<Checklist> $lists */
    public function __construct(array $lists)
    {
        $this->lists = array_combine(array_map(static fn (Checklist $list): string => $list->key, $lists), $lists);
    }

    /** @return string|null null where it joins nothing, or what is not there */
    public function of(Checklist $list): ?string
    {
        if ('' === $list->joinsAfter) {
            return null;
        }
        [$key, $after] = explode('/', $list->joinsAfter, 2);
        $other = $this->lists[$key] ?? null;
        if (str_starts_with($after, '@')) {
            return $other?->endOf(substr($after, 1));
        }
        foreach ($other->items ?? [] as $item) {
            if ($after === $item->key) {
                return $list->joinsAfter;
            }
        }

        return null;
    }
}

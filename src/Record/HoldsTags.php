<?php

declare(strict_types=1);

namespace Telamon\Record;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** A room whose records carry tags: how many have which, and which have one. */
#[AutoconfigureTag('telamon.holds_tags')]
interface HoldsTags
{
    /** What its records are called in counts, “clients”. */
    public function what(): string;

    /** @return array<array-key, int> how many have it, by tag */
    public function counts(): array;

    /** @return list<Tagged> those that have a tag, at most so many */
    public function with(string $tag, int $most): array;
}

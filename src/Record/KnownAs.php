<?php

declare(strict_types=1);

namespace Telamon\Record;

/** Says by which of its properties a record is named inside the JSON of others. */
#[\Attribute(\Attribute::TARGET_CLASS)]
final readonly class KnownAs
{
    /** @var list<string> */
    public array $by;

    /** @param string ...$by properties that hold what it is named by */
    public function __construct(public string $kind, string ...$by)
    {
        $this->by = array_values($by);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Record;

/**
 * Says of a column in which JSON is kept that it names other records by their keys. What hangs on a record is answered
 * from this declaration, wherever it is asked: a key inside JSON is no association that the database knows.
 */
#[\Attribute(\Attribute::TARGET_PROPERTY)]
final readonly class Names
{
    /** @var list<string> */
    public array $kinds;

    /** @param string ...$kinds of records, by the names that {@see KnownAs} gives them */
    public function __construct(string ...$kinds)
    {
        $this->kinds = array_values($kinds);
    }
}

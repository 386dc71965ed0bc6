<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** Who does a task: by their part in the project, by name, or one of several. */
final readonly class Doer
{
    /** @param list<string> $among ids of staff, in the order of turns; the first is whoever is named */
    public function __construct(public DoerKind $kind, public array $among = [])
    {
    }

    public static function coordinator(): self
    {
        return new self(DoerKind::Coordinator);
    }

    public static function lead(): self
    {
        return new self(DoerKind::Lead);
    }
}

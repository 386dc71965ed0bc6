<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** How whoever does a task is found. */
enum DoerKind: string
{
    case Coordinator = 'coordinator';
    case Lead = 'lead';
    case Named = 'named';
    case Turns = 'turns';
    case Fewest = 'fewest';

    /** How many people have to be named with it. */
    public function people(): int
    {
        return match ($this) {
            self::Named => 1,
            self::Turns, self::Fewest => 2,
            default => 0,
        };
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Telamon\Core\Rules\Asked;
use Telamon\Record\DeclaresFacts;

/** What rules may ask about a task that is finished. */
final readonly class AskedOfTasks implements DeclaresFacts
{
    public function canAsk(string $name): bool
    {
        return '@task' === $name;
    }

    public function asked(): iterable
    {
        yield Asked::text('@task', 'the task')->ofProject();
    }
}

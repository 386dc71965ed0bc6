<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\SetOff;

/** What most actions are: nothing they name can be gone, they need no project, write no text and set nothing off. */
trait Plain
{
    public function gone(RuleBook $book): ?string
    {
        return null;
    }

    public function needsProject(): bool
    {
        return false;
    }

    /** @return list<string> */
    public function texts(): array
    {
        return [];
    }

    public function setsOff(): ?SetOff
    {
        return null;
    }
}

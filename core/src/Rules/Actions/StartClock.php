<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\SetOff;

/** Starts the reply clock anew: whoever wrote is owed an answer again. */
final readonly class StartClock implements RuleAction
{
    public static function name(): string
    {
        return 'clock';
    }

    public static function read(ActionText $given): self
    {
        return new self();
    }

    public function gone(RuleBook $book): ?string
    {
        return null;
    }

    public function words(): string
    {
        return 'the reply clock anew';
    }

    public function needsProject(): bool
    {
        return false;
    }

    public function texts(): array
    {
        return [];
    }

    public function setsOff(): ?SetOff
    {
        return null;
    }
}

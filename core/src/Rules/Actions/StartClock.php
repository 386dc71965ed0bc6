<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\RuleAction;

/** Starts the reply clock anew: whoever wrote is owed an answer again. */
final readonly class StartClock implements RuleAction
{
    use Plain;

    public static function name(): string
    {
        return 'clock';
    }

    public static function phrase(): string
    {
        return 'start the reply clock anew';
    }

    public static function fields(): array
    {
        return [];
    }

    public static function read(ActionText $given): self
    {
        return new self();
    }

    public function words(): string
    {
        return 'the reply clock anew';
    }
}

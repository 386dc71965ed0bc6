<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

use Telamon\Core\Rules\RuleField;
use Telamon\Core\Rules\Trigger;

/** A task was finished. */
final class TaskDone extends Trigger
{
    public static function name(): string
    {
        return 'task';
    }

    public function words(): string
    {
        return 'a task is finished';
    }

    public function what(): RuleField
    {
        return RuleField::line('what', 'Task')->orAny('any task, or its name');
    }

    public function tellsByHand(): bool
    {
        return true;
    }

    public function asIf(string $what): array
    {
        return ['@task' => $what];
    }
}

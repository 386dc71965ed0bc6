<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

use Telamon\Core\Rules\RuleField;
use Telamon\Core\Rules\Trigger;

/** A project came to another stage. */
final class StageChanged extends Trigger
{
    public static function name(): string
    {
        return 'stage';
    }

    public function words(): string
    {
        return 'a project comes to a stage';
    }

    public function what(): RuleField
    {
        return RuleField::choice('what', 'Stage', 'stages')->orAny('any stage');
    }

    public function asIf(string $what): array
    {
        return '' === $what ? [] : ['@stage' => $what];
    }
}

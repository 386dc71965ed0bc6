<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

use Telamon\Core\Rules\RuleField;
use Telamon\Core\Rules\Trigger;

/** Something happened to an appointment. */
abstract class VisitTrigger extends Trigger
{
    public function what(): RuleField
    {
        return RuleField::line('what', 'Kind of visit')->orAny('any visit, or its kind');
    }

    public function asIf(string $what): array
    {
        return ['@visit' => $what];
    }
}

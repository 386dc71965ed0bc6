<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

use Telamon\Core\Rules\RuleField;
use Telamon\Core\Rules\Trigger;

/** Something happened to a quote. */
abstract class QuoteTrigger extends Trigger
{
    public function what(): RuleField
    {
        return RuleField::line('what', 'Number of the quote')->orAny('any quote, or its number');
    }

    public function asIf(string $what): array
    {
        return ['@quote' => $what];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

use Telamon\Core\Rules\RuleField;
use Telamon\Core\Rules\Trigger;

/** Something on file about a client was changed. */
final class ClientChanged extends Trigger
{
    public static function name(): string
    {
        return 'client';
    }

    public function words(): string
    {
        return 'a client on file is changed';
    }

    public function what(): RuleField
    {
        return RuleField::choice('what', 'Field', 'clientFields')->orAny('in any field');
    }
}

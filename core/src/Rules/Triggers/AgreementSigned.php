<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

use Telamon\Core\Rules\RuleField;
use Telamon\Core\Rules\Trigger;

/** The client has signed what they were asked to sign. */
final class AgreementSigned extends Trigger
{
    public static function name(): string
    {
        return 'agreement-signed';
    }

    public function words(): string
    {
        return 'an agreement is signed';
    }

    public function what(): RuleField
    {
        return RuleField::line('what', 'Its title')->orAny('any agreement, or its title');
    }

    public function asIf(string $what): array
    {
        return ['@agreement' => $what];
    }
}

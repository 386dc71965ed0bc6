<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\RuleAction;

/** Sends the client the business's agreement for signature. */
final readonly class LetSign implements RuleAction
{
    use OfProject;

    public static function name(): string
    {
        return 'sign';
    }

    public static function phrase(): string
    {
        return 'send the client the agreement for signature';
    }

    public function words(): string
    {
        return 'the agreement for signature';
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\RuleAction;

/** Sends the client the business's agreement for signature. */
final readonly class LetSign implements RuleAction
{
    use Plain;

    private function __construct()
    {
    }

    public static function name(): string
    {
        return 'sign';
    }

    public static function phrase(): string
    {
        return 'send the client the agreement for signature';
    }

    public static function fields(): array
    {
        return [];
    }

    public static function read(ActionText $given): self
    {
        return new self();
    }

    public function needsProject(): bool
    {
        return true;
    }

    public function words(): string
    {
        return 'the agreement for signature';
    }
}

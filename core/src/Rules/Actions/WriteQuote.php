<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\RuleAction;

/** Drafts a quote from the answers. */
final readonly class WriteQuote implements RuleAction
{
    use Plain;

    private function __construct()
    {
    }

    public static function name(): string
    {
        return 'quote';
    }

    public static function phrase(): string
    {
        return 'draft a quote from the answers';
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
        return 'a draft of a quote';
    }
}

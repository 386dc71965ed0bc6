<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\RuleAction;

/** Drafts a quote from the answers. */
final readonly class WriteQuote implements RuleAction
{
    use OfProject;

    public static function name(): string
    {
        return 'quote';
    }

    public static function phrase(): string
    {
        return 'draft a quote from the answers';
    }

    public function words(): string
    {
        return 'a draft of a quote';
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Rules\AskedInVain;
use Telamon\Forms\Dependants;

/** Rules that name what a form would give up. */
final readonly class DependentRules implements Dependants
{
    public function __construct(private RuleBooks $books, private AskedInVain $asked)
    {
    }

    public function of(string $slug, FormDefinition $drafted, ?FormDefinition $published): array
    {
        return $this->asked->of($this->books->book()->rules, $slug, $drafted, $published);
    }
}

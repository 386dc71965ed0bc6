<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleField;
use Telamon\Core\Rules\RuleOutcome;
use Telamon\Core\Rules\Settles;

/** Adds a checklist. */
final readonly class UseChecklist implements Settles
{
    use Plain;

    private function __construct(public string $checklist)
    {
    }

    public static function name(): string
    {
        return 'checklist';
    }

    public static function phrase(): string
    {
        return 'join the checklist';
    }

    public static function fields(): array
    {
        return [RuleField::choice('checklist', 'Checklist', 'checklists')];
    }

    public static function read(ActionText $given): self
    {
        return new self($given->needed('checklist'));
    }

    public function gone(RuleBook $book): ?string
    {
        return isset($book->checklists[$this->checklist]) ? null : 'a checklist that is gone';
    }

    public function words(): string
    {
        return 'one more checklist';
    }

    public function needsProject(): bool
    {
        return true;
    }

    public function settle(RuleOutcome $outcome, Rule $by, RuleBook $book): RuleOutcome
    {
        return $outcome->listing($this->checklist, $book->checklists[$this->checklist]);
    }
}

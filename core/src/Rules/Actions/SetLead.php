<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\NamesSomebody;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleField;
use Telamon\Core\Rules\RuleOutcome;
use Telamon\Core\Rules\Settles;

/** Says who leads the project. */
final readonly class SetLead implements Settles, NamesSomebody
{
    use OneOfTheStaff;

    public static function name(): string
    {
        return 'lead';
    }

    public static function phrase(): string
    {
        return 'let it be led by';
    }

    public static function fields(): array
    {
        return [RuleField::who('staff', 'Who')];
    }

    public function words(): string
    {
        return 'another lead';
    }

    public function needsProject(): bool
    {
        return true;
    }

    public function settle(RuleOutcome $outcome, Rule $by, RuleBook $book): RuleOutcome
    {
        return $outcome->leading('' === $this->why ? $by : $by->called("{$by->name}, {$this->why}"), $book->staff[$this->staff]);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleField;
use Telamon\Core\Rules\RuleOutcome;
use Telamon\Core\Rules\SetOff;
use Telamon\Core\Rules\Settles;
use Telamon\Core\Rules\Triggers\StageChanged;

/** Says at which stage the project stands. */
final readonly class SetStage implements Settles
{
    use Plain;

    private function __construct(public string $stage)
    {
    }

    public static function name(): string
    {
        return 'stage';
    }

    public static function phrase(): string
    {
        return 'begin in the stage';
    }

    public static function fields(): array
    {
        return [RuleField::choice('stage', 'Stage', 'stages')];
    }

    public static function read(ActionText $given): self
    {
        return new self($given->needed('stage'));
    }

    public function gone(RuleBook $book): ?string
    {
        return \in_array($this->stage, $book->stages, true) ? null : "the stage {$this->stage}, which is gone";
    }

    public function words(): string
    {
        return "the stage {$this->stage}";
    }

    public function needsProject(): bool
    {
        return true;
    }

    public function setsOff(): SetOff
    {
        return new SetOff(StageChanged::class, $this->stage);
    }

    public function settle(RuleOutcome $outcome, Rule $by, RuleBook $book): RuleOutcome
    {
        return $outcome->standing($by, $this->stage);
    }
}

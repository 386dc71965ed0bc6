<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\NamesSomebody;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleOutcome;
use Telamon\Core\Rules\SetOff;
use Telamon\Core\Rules\Settles;

/** Says who leads the project. */
final readonly class SetLead implements Settles, NamesSomebody
{
    /** @param list<string> $among ids of those to choose among */
    private function __construct(public string $staff, public array $among, public string $why = '')
    {
    }

    public static function name(): string
    {
        return 'lead';
    }

    public static function read(ActionText $given): self
    {
        [$staff, $among] = $given->somebody('staff');

        return new self($staff, $among);
    }

    public function gone(RuleBook $book): ?string
    {
        return isset($book->staff[$this->staff]) ? null : 'a person who is here no more';
    }

    public function words(): string
    {
        return 'another lead';
    }

    public function needsProject(): bool
    {
        return true;
    }

    public function texts(): array
    {
        return [];
    }

    public function setsOff(): ?SetOff
    {
        return null;
    }

    public function named(): string
    {
        return $this->staff;
    }

    public function among(): array
    {
        return $this->among;
    }

    public function choosing(string $staff, string $why): static
    {
        return new self($staff, $this->among, $why);
    }

    public function why(): string
    {
        return $this->why;
    }

    public function settle(RuleOutcome $outcome, Rule $by, RuleBook $book): RuleOutcome
    {
        return $outcome->leading('' === $this->why ? $by : $by->called("{$by->name}, {$this->why}"), $book->staff[$this->staff]);
    }
}

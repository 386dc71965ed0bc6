<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\RuleBook;

/** What actions share that name one of the staff, or several of whom one is chosen. */
trait OneOfTheStaff
{
    use Plain;

    /** @param list<string> $among ids of those to choose among */
    private function __construct(public readonly string $staff, public readonly array $among, public readonly string $why = '')
    {
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

    public function named(): string
    {
        return $this->staff;
    }

    /** @return list<string> */
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
}

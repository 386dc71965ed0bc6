<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** A plan with a choice that nobody has made. */
final class ChoiceIsOpen extends Refusal
{
    /** @param list<array{path: string, message: string}> $violations */
    public function __construct(private readonly array $violations)
    {
        parent::__construct('Choose first; nothing was accepted yet.');
    }

    public function nature(): Nature
    {
        return Nature::Invalid;
    }

    public function title(): string
    {
        return 'A choice is open';
    }

    public function violations(): array
    {
        return $this->violations;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** Answers that the form cannot take. */
final class InvalidAnswers extends Refusal
{
    /** @param list<array{path: string, message: string}> $violations */
    public function __construct(private readonly array $violations)
    {
        parent::__construct('Nothing was sent yet, and nothing you wrote is lost.');
    }

    public function nature(): Nature
    {
        return Nature::Invalid;
    }

    public function title(): string
    {
        return 'Some answers need another look';
    }

    public function violations(): array
    {
        return $this->violations;
    }
}

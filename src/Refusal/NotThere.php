<?php

declare(strict_types=1);

namespace Telamon\Refusal;

/** A record of that name or number is not there. */
final class NotThere extends Refusal
{
    public function __construct(string $what)
    {
        parent::__construct("There is no such $what.");
    }

    public function nature(): Nature
    {
        return Nature::NotThere;
    }

    public function title(): string
    {
        return 'Not found';
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;

/** What is done to a project and needs nothing told. */
trait OfProject
{
    use Plain;

    private function __construct()
    {
    }

    public static function fields(): array
    {
        return [];
    }

    public static function read(ActionText $given): self
    {
        return new self();
    }

    public function needsProject(): bool
    {
        return true;
    }
}

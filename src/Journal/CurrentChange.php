<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Symfony\Contracts\Service\ResetInterface;

/** The change that is under way in this process; what is written meanwhile belongs to it. */
final class CurrentChange implements ResetInterface
{
    private ?Change $change = null;

    public function begin(Change $change): void
    {
        if (null !== $this->change) {
            throw new \LogicException("“{$this->change->words}” is still under way");
        }
        $this->change = $change;
    }

    public function end(): void
    {
        $this->change = null;
    }

    public function get(): ?Change
    {
        return $this->change;
    }

    public function reset(): void
    {
        $this->change = null;
    }
}

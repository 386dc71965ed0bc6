<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Symfony\Contracts\Service\ResetInterface;
use Telamon\Record\Action;

/** The change that is under way in this process; what is written meanwhile belongs to it. */
final class CurrentChange implements ResetInterface
{
    private ?Change $change = null;

    /** @var list<WrittenRecord> not told of yet */
    private array $written = [];

    /** @var array<string, true> ids of what it made */
    private array $made = [];

    public function begin(Change $change): void
    {
        if (null !== $this->change) {
            throw new \LogicException("“{$this->change->words}” is still under way");
        }
        $this->reset();
        $this->change = $change;
    }

    public function end(): void
    {
        $this->reset();
    }

    public function get(): ?Change
    {
        return $this->change;
    }

    public function wrote(WrittenRecord $record): void
    {
        $this->written[] = $record;
        if (Action::Made === $record->action) {
            $this->made[$record->id] = true;
        }
    }

    /** What was written since this was asked last; null for nothing. */
    public function written(): ?Written
    {
        $records = $this->written;
        $this->written = [];

        return null === $this->change || [] === $records ? null : new Written($this->change, $records, $this->made);
    }

    public function reset(): void
    {
        $this->change = null;
        $this->written = $this->made = [];
    }
}

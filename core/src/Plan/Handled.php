<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/** What somebody made of a line of the plan. */
enum Handled
{
    case AsPlanned;
    case Amended;
    case Dropped;
    case AmendedAndDropped;

    public function dropped(): self
    {
        return $this->isAmended() ? self::AmendedAndDropped : self::Dropped;
    }

    public function isDropped(): bool
    {
        return self::Dropped === $this || self::AmendedAndDropped === $this;
    }

    public function isAmended(): bool
    {
        return self::Amended === $this || self::AmendedAndDropped === $this;
    }
}

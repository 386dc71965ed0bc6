<?php

declare(strict_types=1);

namespace Telamon\Record;

/**
 * A record that is never removed when what made it is taken back: it is stopped while that is possible, and lets go of
 * what it points at.
 */
interface TakenBack extends Stays
{
    /** Stops it; what is stopped already stays so. */
    public function stop(): void;

    /** The job that goes on with it once it was done again; null where there is nothing to do. */
    public function goOn(): ?object;
}

<?php

declare(strict_types=1);

namespace Telamon\Record;

/** A record that may have to stay when what made it is taken back. */
interface Stays extends Journaled
{
    /** Why it stays: it is done, under way, or signed; null where it may go. */
    public function staysBecause(): ?string;
}

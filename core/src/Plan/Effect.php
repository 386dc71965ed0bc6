<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/** What accepting a line writes: values, ready to be carried out without further thought. One class a kind, in Core\Effects. */
interface Effect
{
    /** Stands in fingerprints: it stays the same whatever the class is called. */
    public static function name(): string;
}

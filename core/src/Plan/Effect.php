<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/** What accepting a line writes: values, ready to be carried out without further thought. One class a kind, in Core\Effects. */
interface Effect
{
    /** Stands in fingerprints: it stays the same whatever the class is called. */
    public static function name(): string;

    /**
     * What it does, made from its values and where they came from.
     *
     * @return non-empty-list<Part>
     */
    public function sentence(Telling $telling, Sources $from): array;
}

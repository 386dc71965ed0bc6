<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** From which probability on two records count as one person, and from which on somebody is asked. */
final readonly class Thresholds
{
    /** @throws \InvalidArgumentException unless 0 < perhaps <= same < 1 */
    public function __construct(public float $same = 0.9, public float $perhaps = 0.2)
    {
        if ($perhaps <= 0 || $same < $perhaps || $same >= 1) {
            throw new \InvalidArgumentException('The one threshold must not lie above the other, and both lie between 0 and 1.');
        }
    }
}

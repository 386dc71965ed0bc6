<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** An answer is owed again: the promise of the form begins anew. */
final readonly class RestartClock implements Effect
{
    public static function name(): string
    {
        return 'clock.restart';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words('Start the reply clock anew')];
    }
}

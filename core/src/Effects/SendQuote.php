<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Sends the client the quote that is drafted for the project. */
final readonly class SendQuote implements Effect
{
    public static function name(): string
    {
        return 'quote.send';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words('Send the client the quote that is drafted')];
    }
}

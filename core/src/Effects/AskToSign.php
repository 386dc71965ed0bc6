<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Sends the client the business's agreement for signature, filled in for the project. */
final readonly class AskToSign implements Effect
{
    public static function name(): string
    {
        return 'agreement.send';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words('Send the client the agreement for signature')];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Sends the client a link by which they choose a time. */
final readonly class OfferTimes implements Effect
{
    /** @param string $page ending of the booking page */
    public function __construct(public string $page)
    {
    }

    public static function name(): string
    {
        return 'times.offer';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words('Send the client a link to choose a time on '), Part::value("/book/{$this->page}")];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Links the client to another one. */
final readonly class LinkClient implements Effect
{
    /**
     * @param string $to id of the other client
     * @param string $kind household or pays-for (the client pays for the other)
     */
    public function __construct(public string $to, public string $kind)
    {
    }

    public static function name(): string
    {
        return 'client.link';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [
            Part::words('Link the client to '),
            $telling->record('client', $this->to),
            Part::words('household' === $this->kind ? ', the same household' : ', whom they pay for'),
        ];
    }
}

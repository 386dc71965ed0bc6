<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Essential;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Takes a client who is on file. */
final readonly class UseClient implements Essential
{
    public function __construct(
        public string $id,
    ) {
    }

    public static function name(): string
    {
        return 'client.use';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words('Same person as '), $telling->record('client', $this->id), Part::words($telling->more('client', $this->id))];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Books a time that was found free for what the client wished for. */
final readonly class HoldTime implements Effect
{
    /**
     * @param string $kind ending of the address of the kind of visit
     * @param string $start by the clock of the business, RFC 3339
     * @param int $minutes that it takes
     * @param string $when in words
     * @param string $address where it would be held
     */
    public function __construct(public string $kind, public string $title, public string $start, public int $minutes, public string $when, public string $address)
    {
    }

    public static function name(): string
    {
        return 'time.hold';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words("Book {$this->title} for "), Part::value($this->when)];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Remembers that the client is none of these, so that nobody is asked again. */
final readonly class TellApart implements Effect
{
    /** @param list<string> $from ids of the others, one at least */
    public function __construct(public array $from)
    {
    }

    public static function name(): string
    {
        return 'client.apart';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        $parts = [Part::words('Remember that this is not ')];
        foreach ($this->from as $i => $id) {
            if ($i > 0) {
                $parts[] = Part::words($i === \count($this->from) - 1 ? ' or ' : ', ');
            }
            $parts[] = $telling->record('client', $id);
        }

        return $parts;
    }
}

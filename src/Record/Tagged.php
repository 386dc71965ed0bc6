<?php

declare(strict_types=1);

namespace Telamon\Record;

/** A record that carries tags. */
interface Tagged
{
    /** @return list<string> */
    public function tags(): array;

    /** @param list<string> $tags all that it has from now on */
    public function retag(array $tags): void;
}

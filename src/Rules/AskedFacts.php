<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Symfony\Component\DependencyInjection\Attribute\AsAlias;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Telamon\Core\Rules\Askable;
use Telamon\Record\DeclaresFacts;

/** All that rules may ask about, as the rooms declare it. */
#[AsAlias(Askable::class)]
final readonly class AskedFacts implements Askable
{
    /** @param iterable<DeclaresFacts> $rooms */
    public function __construct(#[AutowireIterator('telamon.facts')] private iterable $rooms)
    {
    }

    public function canAsk(string $name): bool
    {
        foreach ($this->rooms as $room) {
            if ($room->canAsk($name)) {
                return true;
            }
        }

        return false;
    }

    public function asked(): iterable
    {
        foreach ($this->rooms as $room) {
            yield from $room->asked();
        }
    }
}

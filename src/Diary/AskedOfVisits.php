<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Telamon\Core\Rules\Asked;
use Telamon\Record\DeclaresFacts;

/** What rules may ask about an appointment that something happened to. */
final readonly class AskedOfVisits implements DeclaresFacts
{
    public function canAsk(string $name): bool
    {
        return '@visit' === $name;
    }

    public function asked(): iterable
    {
        yield Asked::text('@visit', 'the visit')->ofProject();
    }
}

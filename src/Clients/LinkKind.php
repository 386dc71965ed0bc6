<?php

declare(strict_types=1);

namespace Telamon\Clients;

/** What two clients have to do with one another. */
enum LinkKind: string
{
    case Household = 'household';
    case PaysFor = 'pays-for';
    case WorksAt = 'works-at';

    /** @param bool $from told of the client whose link it is; else of the other one */
    public function words(bool $from): string
    {
        return match ($this) {
            self::Household => 'same household as',
            self::WorksAt => $from ? 'works at' : 'where works',
            self::PaysFor => $from ? 'pays for' : 'paid for by',
        };
    }
}

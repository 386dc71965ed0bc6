<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Destination;

/** A place, written on one line. */
final class Address extends Written
{
    public static function name(): string
    {
        return 'address';
    }

    public function destinations(): array
    {
        return [Destination::AssetPlace, Destination::ClientAddress, Destination::ProjectNotes];
    }
}

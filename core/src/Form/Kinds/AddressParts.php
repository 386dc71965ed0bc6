<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Destination;

/** A place in its parts. */
final class AddressParts extends InParts
{
    public static function name(): string
    {
        return 'address-parts';
    }

    public function destinations(): array
    {
        return [Destination::AssetPlace, Destination::ClientAddress, Destination::ProjectNotes];
    }

    public function parts(): array
    {
        return ['line', 'locality', 'postalCode', 'country'];
    }

    protected function names(): array
    {
        return ['line' => 'Street and number', 'locality' => 'Town', 'postalCode' => 'Postal code', 'country' => 'Country'];
    }

    protected function needed(): array
    {
        return ['line', 'locality'];
    }
}

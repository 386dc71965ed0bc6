<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Destination;

/** A few words. */
final class ShortText extends Written
{
    public static function name(): string
    {
        return 'short-text';
    }

    public function destinations(): array
    {
        return [
            Destination::AssetDescription,
            Destination::ClientName,
            Destination::ClientOrganisation,
            Destination::ClientAddress,
            Destination::ClientTags,
            Destination::ClientNotes,
            Destination::ContactName,
            Destination::ContactRole,
            Destination::AssetMake,
            Destination::AssetModel,
            Destination::AssetSerial,
            Destination::AssetPlace,
            Destination::AssetNotes,
            Destination::ProjectService,
            Destination::ProjectTitle,
            Destination::ProjectTags,
            Destination::AppointmentWish,
            Destination::QuoteWish,
            Destination::Task,
            Destination::ProjectNotes,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Destination;

/** Some lines of text. */
final class LongText extends Written
{
    public static function name(): string
    {
        return 'long-text';
    }

    public function destinations(): array
    {
        return [
            Destination::ProjectNotes,
            Destination::ClientNotes,
            Destination::AssetDescription,
            Destination::AssetNotes,
            Destination::AppointmentWish,
            Destination::QuoteWish,
            Destination::Task,
        ];
    }

    public function longest(): int
    {
        return 4000;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Destination;

/** A number. */
final class Number extends Amounts
{
    public static function name(): string
    {
        return 'number';
    }

    public function destinations(): array
    {
        return [Destination::AssetSerial, Destination::ProjectBudget, Destination::QuoteWish, Destination::ProjectNotes];
    }
}

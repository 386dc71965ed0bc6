<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Destination;

/** An amount of money. */
final class Money extends Amounts
{
    public static function name(): string
    {
        return 'money';
    }

    public function destinations(): array
    {
        return [Destination::ProjectBudget, Destination::QuoteWish, Destination::ProjectNotes];
    }

    protected function example(): string
    {
        return '120.00';
    }
}

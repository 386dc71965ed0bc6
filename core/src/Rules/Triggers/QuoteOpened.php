<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

/** A quote: it was answered, or how far it came. */
final class QuoteOpened extends QuoteTrigger
{
    public static function name(): string
    {
        return 'quote-opened';
    }

    public function words(): string
    {
        return 'a quote is opened';
    }
}

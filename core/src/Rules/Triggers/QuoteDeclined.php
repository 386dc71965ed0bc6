<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

/** A quote: it was answered, or how far it came. */
final class QuoteDeclined extends QuoteTrigger
{
    public static function name(): string
    {
        return 'quote-declined';
    }

    public function words(): string
    {
        return 'a quote is declined';
    }
}

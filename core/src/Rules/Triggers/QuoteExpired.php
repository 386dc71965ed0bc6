<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

/** A quote: it was answered, or how far it came. */
final class QuoteExpired extends QuoteTrigger
{
    public static function name(): string
    {
        return 'quote-expired';
    }

    public function words(): string
    {
        return 'a quote runs out';
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

/** A quote: it was answered, or how far it came. */
final class QuoteAccepted extends QuoteTrigger
{
    public static function name(): string
    {
        return 'quote-accepted';
    }

    public function words(): string
    {
        return 'a quote is accepted';
    }
}

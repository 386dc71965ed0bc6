<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Drafts a quote whose lines come from the answers, by the table that the business keeps. */
final readonly class DraftQuote implements Effect
{
    public static function name(): string
    {
        return 'quote.draft';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words('Draft a quote, with lines from the answers')];
    }
}

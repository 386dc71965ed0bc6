<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Keeps what the client agreed to, in the words that they read. */
final readonly class KeepConsent implements Effect
{
    /**
     * @param string $wording as it stood in the form
     * @param string $day ISO 8601, on which it was given
     */
    public function __construct(public string $wording, public string $day)
    {
    }

    public static function name(): string
    {
        return 'consent.keep';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words('Keep the consent “'), $from->part('wording', $this->wording), Part::words("”, given {$telling->day($this->day)}")];
    }
}

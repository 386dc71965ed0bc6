<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Begins a follow-up with the client; one that runs already goes on. */
final readonly class StartFollowUp implements Effect
{
    /** What its name is kept under beside those of templates. */
    public const NAMED = 'follow-up:';

    /** @param string $by who or what begins it, in words */
    public function __construct(public string $followUp, public string $by)
    {
    }

    public static function name(): string
    {
        return 'follow-up.start';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words("Begin the follow-up “{$telling->template(self::NAMED.$this->followUp)}”; it ends with an answer")];
    }
}

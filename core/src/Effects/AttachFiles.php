<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;

/** Puts the files of an answer with the records. */
final readonly class AttachFiles implements Effect
{
    public function __construct(
        public string $question,
    ) {
    }

    public static function name(): string
    {
        return 'files.attach';
    }
}

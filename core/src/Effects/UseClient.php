<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Essential;

/** Takes a client who is on file. */
final readonly class UseClient implements Essential
{
    public function __construct(
        public string $id,
    ) {
    }

    public static function name(): string
    {
        return 'client.use';
    }
}

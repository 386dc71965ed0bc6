<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Essential;

/** Adds to a project that is open. */
final readonly class UseProject implements Essential
{
    public function __construct(
        public string $id,
        public string $notes,
    ) {
    }

    public static function name(): string
    {
        return 'project.use';
    }
}

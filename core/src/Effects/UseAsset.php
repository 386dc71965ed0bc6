<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;

/** Takes an asset that is on file. */
final readonly class UseAsset implements Effect
{
    public function __construct(
        public string $id,
    ) {
    }

    public static function name(): string
    {
        return 'asset.use';
    }
}

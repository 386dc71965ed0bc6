<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

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

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words("The {$telling->assetWord} on file: "), $telling->record('asset', $this->id)];
    }
}

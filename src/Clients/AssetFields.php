<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Telamon\Core\Effects\SetField;
use Telamon\Effects\FieldWriter;
use Telamon\Effects\Making;

/** Writes single fields of the asset that a plan is about. */
final readonly class AssetFields implements FieldWriter
{
    public static function record(): string
    {
        return 'asset';
    }

    /** @return array{} assets are told when they are made or found */
    public function set(SetField $effect, Making $made): array
    {
        $field = $effect->field;
        $asset = $made->find(Asset::class);
        $value = $effect->value;
        if (null !== $asset) {
            $asset->write($field, $value);
        }

        return [];
    }

    public function tag(array $tags, Making $made): array
    {
        throw new \LogicException('assets have no tags');
    }
}

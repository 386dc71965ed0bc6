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
            match (true) {
                'make' === $field => $asset->make = mb_substr($value, 0, 200),
                'model' === $field => $asset->model = mb_substr($value, 0, 200),
                'serial' === $field => $asset->serialNumber = mb_substr($value, 0, 200),
                'place' === $field => $asset->place = mb_substr($value, 0, 300),
                str_starts_with($field, 'custom.') => $asset->custom = [substr($field, 7) => $value] + $asset->custom,
                default => throw new \LogicException("an asset has no field $field"),
            };
        }

        return [];
    }

    public function tag(array $tags, Making $made): array
    {
        throw new \LogicException('assets have no tags');
    }
}

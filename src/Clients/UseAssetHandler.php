<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Effects\UseAsset;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Effects\PlanHasChanged;

/**
 * Takes an asset that is on file.
 *
 * @implements EffectHandler<UseAsset>
 */
final readonly class UseAssetHandler implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public static function of(): string
    {
        return UseAsset::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof UseAsset);
        $asset = $this->em->find(Asset::class, $effect->id) ?? throw new PlanHasChanged('The asset is no longer on file.');

        return [$made->first(Asset::class, $asset)];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Effects\MakeAsset;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;

/**
 * Puts an asset of the client on file.
 *
 * @implements EffectHandler<MakeAsset>
 */
final readonly class MakeAssetHandler implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public static function of(): string
    {
        return MakeAsset::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof MakeAsset);
        $asset = new Asset($made->the(Client::class), $effect->description, $effect->place);
        $asset->describe($effect->make, $effect->model, $effect->serial, $effect->notes, $effect->custom);
        $this->em->persist($asset);

        return [$made->first(Asset::class, $asset)];
    }
}

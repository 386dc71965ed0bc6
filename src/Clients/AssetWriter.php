<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\EffectKind;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Http\Problem;

/** Makes an asset of a client, or takes one that is on file. */
final readonly class AssetWriter implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public static function kinds(): array
    {
        return [EffectKind::CreateAsset, EffectKind::UseAsset];
    }

    public function write(Effect $effect, Making $made): array
    {
        $asset = EffectKind::CreateAsset === $effect->kind
            ? $this->create($effect, $made->the(Client::class))
            : $this->em->find(Asset::class, $effect->text('id')) ?? throw new Problem(409, 'The plan has changed', 'The asset is no longer on file.');
        // The first is what the project is about; the others hang on the client.
        if (null === $made->find(Asset::class)) {
            $made->add($asset);
        }

        return [$asset];
    }

    private function create(Effect $effect, Client $client): Asset
    {
        $asset = new Asset($client, $effect->text('description'), $effect->text('place'));
        $asset->make = $effect->text('make');
        $asset->model = $effect->text('model');
        $asset->serialNumber = $effect->text('serial');
        $asset->notes = $effect->text('notes');
        $custom = json_decode($effect->text('custom'), true, 4, \JSON_THROW_ON_ERROR);
        foreach (\is_array($custom) ? $custom : [] as $key => $value) {
            $asset->custom[(string) $key] = \is_string($value) ? $value : '';
        }
        $this->em->persist($asset);

        return $asset;
    }
}

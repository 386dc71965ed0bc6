<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\BusinessFacts;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\Making;
use Telamon\Http\Problem;

/** Writes the plan lines about clients and their assets. */
final readonly class ClientEffects
{
    public function __construct(private EntityManagerInterface $em, private ContactPoints $points, private BusinessFacts $facts)
    {
    }

    public function create(Effect $effect, Making $made): Client
    {
        $today = new \DateTimeImmutable($made->now->setTimezone($this->facts->zone())->format('Y-m-d'), new \DateTimeZone('UTC'));
        $client = new Client($effect->text('given'), $effect->text('family'), $effect->text('address'), $today);
        $this->em->persist($client);
        $this->points->add($client, ContactKind::Email, $effect->text('email'));
        $this->points->add($client, ContactKind::Phone, $effect->text('phone'));

        return $made->client = $client;
    }

    public function use(Effect $effect, Making $made): Client
    {
        $client = $this->em->find(Client::class, $effect->text('id'));
        if (null === $client) {
            throw new Problem(409, 'The plan has changed', 'The client is no longer on file.');
        }

        return $made->client = $client->mergedInto ?? $client;
    }

    public function createAsset(Effect $effect, Making $made): Asset
    {
        $asset = new Asset($made->client(), $effect->text('description'), $effect->text('place'));
        $asset->make = $effect->text('make');
        $asset->model = $effect->text('model');
        $asset->serialNumber = $effect->text('serial');
        $asset->notes = $effect->text('notes');
        $custom = json_decode($effect->text('custom'), true, 4, \JSON_THROW_ON_ERROR);
        foreach (\is_array($custom) ? $custom : [] as $key => $value) {
            $asset->custom[(string) $key] = \is_string($value) ? $value : '';
        }
        $this->em->persist($asset);
        // The first is what the project is about; the others hang on the client.
        $made->asset ??= $asset;

        return $asset;
    }

    public function useAsset(Effect $effect, Making $made): Asset
    {
        $asset = $this->em->find(Asset::class, $effect->text('id')) ?? throw new Problem(409, 'The plan has changed', 'The asset is no longer on file.');
        $made->asset ??= $asset;

        return $asset;
    }
}

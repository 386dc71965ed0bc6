<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Effects\LinkClient;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Effects\PlanHasChanged;

/**
 * Links the client to another one, once.
 *
 * @implements EffectHandler<LinkClient>
 */
final readonly class LinkClientHandler implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public static function of(): string
    {
        return LinkClient::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof LinkClient);
        $client = $made->the(Client::class);
        $other = $this->em->find(Client::class, $effect->to) ?? throw new PlanHasChanged('The client is no longer on file.');
        $other = $other->mergedInto ?? $other;
        $kind = LinkKind::from($effect->kind);
        $links = $this->em->getRepository(ClientLink::class);
        if ($client === $other || null !== $links->findOneBy(['client' => $client, 'other' => $other, 'kind' => $kind])) {
            return [];
        }
        $this->em->persist(new ClientLink($client, $other, $kind));

        return [];
    }
}

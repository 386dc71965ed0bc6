<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Effects\UseClient;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Effects\PlanHasChanged;

/**
 * Takes a client who is on file; of one that was merged, the other.
 *
 * @implements EffectHandler<UseClient>
 */
final readonly class UseClientHandler implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public static function of(): string
    {
        return UseClient::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof UseClient);
        $client = $this->em->find(Client::class, $effect->id) ?? throw new PlanHasChanged('The client is no longer on file.');

        $client = $client->mergedInto ?? $client;
        // Whoever writes again is not out of the way any more.
        $client->archive(null);

        return [$made->add($client)];
    }
}

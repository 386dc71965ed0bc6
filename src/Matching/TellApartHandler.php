<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\Client;
use Telamon\Core\Effects\TellApart;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;

/**
 * Remembers that the client is none of some others.
 *
 * @implements EffectHandler<TellApart>
 */
final readonly class TellApartHandler implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public static function of(): string
    {
        return TellApart::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof TellApart);
        $client = $made->the(Client::class);
        foreach ($effect->from as $id) {
            $other = $this->em->find(Client::class, $id);
            $other = $other->mergedInto ?? $other;
            // Whoever is gone meanwhile cannot be mistaken for anybody.
            if (null !== $other && $other !== $client) {
                $this->em->persist(new ToldApart($client, $other));
            }
        }

        return [];
    }
}

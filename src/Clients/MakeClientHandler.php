<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Core\Effects\MakeClient;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;

/**
 * Puts a client on file, with their mail address and number.
 *
 * @implements EffectHandler<MakeClient>
 */
final readonly class MakeClientHandler implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em, private ContactPoints $points, private Profile $business)
    {
    }

    public static function of(): string
    {
        return MakeClient::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof MakeClient);
        $today = new \DateTimeImmutable($made->now->setTimezone($this->business->zone())->format('Y-m-d'), new \DateTimeZone('UTC'));
        $client = new Client($effect->given, $effect->family, $effect->address, $today);
        $this->em->persist($client);
        $this->points->add($client, ContactKind::Email, $effect->email);
        $this->points->add($client, ContactKind::Phone, $effect->phone);

        return [$made->add($client)];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Core\Effects\MakeClient;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Journal\CurrentChange;

/**
 * Puts a client on file, with their mail address and number.
 *
 * @implements EffectHandler<MakeClient>
 */
final readonly class MakeClientHandler implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em, private ContactPoints $points, private CurrentChange $current, private Profile $business)
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
        // Where nobody has looked at it, nobody knows whose it is.
        $confirmed = null !== $this->current->get()?->staff;
        $this->points->set($client, ContactKind::Email, $effect->email, null, $confirmed);
        $this->points->set($client, ContactKind::Phone, $effect->phone, null, $confirmed);

        return [$made->add($client)];
    }
}

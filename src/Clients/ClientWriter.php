<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\BusinessFacts;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\EffectKind;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Http\Problem;

/** Makes a client, or takes one that is on file. */
final readonly class ClientWriter implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em, private ContactPoints $points, private BusinessFacts $facts)
    {
    }

    public static function kinds(): array
    {
        return [EffectKind::CreateClient, EffectKind::UseClient];
    }

    public function write(Effect $effect, Making $made): array
    {
        return [$made->add(EffectKind::CreateClient === $effect->kind ? $this->create($effect, $made) : $this->use($effect))];
    }

    private function create(Effect $effect, Making $made): Client
    {
        $today = new \DateTimeImmutable($made->now->setTimezone($this->facts->zone())->format('Y-m-d'), new \DateTimeZone('UTC'));
        $client = new Client($effect->text('given'), $effect->text('family'), $effect->text('address'), $today);
        $this->em->persist($client);
        $this->points->add($client, ContactKind::Email, $effect->text('email'));
        $this->points->add($client, ContactKind::Phone, $effect->text('phone'));

        return $client;
    }

    /** @throws Problem 409 when it is gone */
    private function use(Effect $effect): Client
    {
        $client = $this->em->find(Client::class, $effect->text('id')) ?? throw new Problem(409, 'The plan has changed', 'The client is no longer on file.');

        return $client->mergedInto ?? $client;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\EffectKind;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;

/** Adds somebody to ask at a client's. */
final readonly class ContactWriter implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public static function kinds(): array
    {
        return [EffectKind::AddContact];
    }

    public function write(Effect $effect, Making $made): array
    {
        $contact = new Contact($made->the(Client::class), $effect->text('name'), $effect->text('role'), $effect->text('email'), $effect->text('phone'));
        $this->em->persist($contact);

        return [$contact];
    }
}

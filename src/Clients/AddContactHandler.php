<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Effects\AddContact;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;

/**
 * Adds somebody to ask at the client’s.
 *
 * @implements EffectHandler<AddContact>
 */
final readonly class AddContactHandler implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public static function of(): string
    {
        return AddContact::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof AddContact);
        $contact = new Contact($made->the(Client::class), $effect->name, $effect->role, $effect->email, $effect->phone);
        $this->em->persist($contact);

        return [$contact];
    }
}

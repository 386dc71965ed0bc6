<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Core\Effects\KeepConsent;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;

/**
 * Keeps what the client agreed to in a form.
 *
 * @implements EffectHandler<KeepConsent>
 */
final readonly class KeepConsentHandler implements EffectHandler
{
    private const LONGEST_NAME = 100;

    public function __construct(private EntityManagerInterface $em, private Profile $business)
    {
    }

    public static function of(): string
    {
        return KeepConsent::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof KeepConsent);
        $consent = new Consent(
            $made->the(Client::class),
            // Nobody asked for it by hand: it is filed by whoever what nobody else does falls to.
            $this->business->business()->coordinator,
            mb_strimwidth($effect->wording, 0, self::LONGEST_NAME, '…'),
            $effect->wording,
            true,
            new \DateTimeImmutable($effect->day, new \DateTimeZone('UTC')),
            null === $made->occasion ? 'form' : "form, {$made->occasion->number}",
        );
        $this->em->persist($consent);

        return [$consent];
    }
}

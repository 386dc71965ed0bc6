<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\HttpFoundation\RateLimiter\AbstractRequestRateLimiter;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;
use Symfony\Component\Security\Http\SecurityRequestAttributes;

/** Counts tries to sign in: of one account from one address, of one address, and of one account from wherever; of a device that is known, by itself. */
final class SignInLimiter extends AbstractRequestRateLimiter
{
    public function __construct(
        #[Target('sign_in.limiter')]
        private readonly RateLimiterFactoryInterface $both,
        #[Target('sign_in_address.limiter')]
        private readonly RateLimiterFactoryInterface $address,
        #[Target('sign_in_account.limiter')]
        private readonly RateLimiterFactoryInterface $account,
        private readonly KnownDevice $devices,
    ) {
    }

    protected function getLimiters(Request $request): array
    {
        $name = $request->attributes->get(SecurityRequestAttributes::LAST_USERNAME, '');
        $account = hash('sha256', mb_strtolower(\is_string($name) ? trim($name) : ''));
        $from = $request->getClientIp() ?? '';

        // Where they have signed in before, only what is tried there counts: strangers elsewhere lock nobody out of it.
        $device = $this->devices->of($request, \is_string($name) ? $name : '');

        return null === $device
            ? [$this->both->create("$account-$from"), $this->address->create($from), $this->account->create($account)]
            : [$this->both->create("device-$device"), $this->account->create("device-$device")];
    }
}

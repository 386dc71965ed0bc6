<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\HttpFoundation\RateLimiter\AbstractRequestRateLimiter;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;
use Symfony\Component\Security\Http\SecurityRequestAttributes;

/** Counts tries to sign in: of one account from one address, of one address, and of one account from wherever. */
final class SignInLimiter extends AbstractRequestRateLimiter
{
    public function __construct(
        #[Target('sign_in.limiter')]
        private readonly RateLimiterFactoryInterface $both,
        #[Target('sign_in_address.limiter')]
        private readonly RateLimiterFactoryInterface $address,
        #[Target('sign_in_account.limiter')]
        private readonly RateLimiterFactoryInterface $account,
    ) {
    }

    protected function getLimiters(Request $request): array
    {
        $name = $request->attributes->get(SecurityRequestAttributes::LAST_USERNAME, '');
        $account = hash('sha256', mb_strtolower(\is_string($name) ? trim($name) : ''));
        $from = $request->getClientIp() ?? '';

        return [$this->both->create("$account-$from"), $this->address->create($from), $this->account->create($account)];
    }
}

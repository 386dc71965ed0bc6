<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;

/** Counts what is done about accounts beside signing in, each by itself: asking for links, opening them, saying the password that one has. */
final readonly class AccountLimits
{
    public function __construct(
        #[Target('password_link_mail.limiter')]
        private RateLimiterFactoryInterface $mails,
        #[Target('password_link_address.limiter')]
        private RateLimiterFactoryInterface $links,
        #[Target('password_link_open.limiter')]
        private RateLimiterFactoryInterface $opened,
        #[Target('password_said.limiter')]
        private RateLimiterFactoryInterface $said,
    ) {
    }

    /**
     * Somebody asks for a link: so many an hour from one network address.
     *
     * @return bool whether one may go out to this mail address; where not, nothing tells whoever asked
     *
     * @throws TooManyTries
     */
    public function mayMail(Request $request, string $email): bool
    {
        self::take($this->links, $request->getClientIp() ?? '');

        return $this->mails->create(hash('sha256', mb_strtolower(trim($email))))->consume()->isAccepted();
    }

    /** @throws TooManyTries */
    public function open(Request $request): void
    {
        self::take($this->opened, $request->getClientIp() ?? '');
    }

    /** @throws TooManyTries */
    public function say(string $staff): void
    {
        self::take($this->said, $staff);
    }

    public function wasRight(string $staff): void
    {
        $this->said->create($staff)->reset();
    }

    /** @throws TooManyTries */
    private static function take(RateLimiterFactoryInterface $limiter, string $key): void
    {
        if (!$limiter->create($key)->consume()->isAccepted()) {
            throw new TooManyTries('Wait a while, then try again.');
        }
    }
}

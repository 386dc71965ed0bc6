<?php

declare(strict_types=1);

namespace Telamon\Access;

use Psr\Log\LoggerInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Core\Exception\TooManyLoginAttemptsAuthenticationException;
use Symfony\Component\Security\Core\Exception\UserNotFoundException;
use Symfony\Component\Security\Http\Authentication\AuthenticationFailureHandlerInterface;
use Telamon\Http\Problem;
use Telamon\Staff\Staff;

/** Answers a sign-in that failed, without saying which of the two was wrong. */
final readonly class SignInFailed implements AuthenticationFailureHandlerInterface
{
    public function __construct(private PasswordHasherFactoryInterface $hashers, private LoggerInterface $accessLogger, private LoggedAddress $addresses)
    {
    }

    public function onAuthenticationFailure(Request $request, AuthenticationException $exception): Response
    {
        if ($exception->getPrevious() instanceof UserNotFoundException || $exception instanceof UserNotFoundException) {
            // As long as a wrong password takes: how long an answer takes must not tell who has an account.
            $this->hashers->getPasswordHasher(Staff::class)->hash('nobody');
        }
        $this->accessLogger->warning('A sign-in failed.', ['from' => $this->addresses->of($request), 'why' => (new \ReflectionClass($exception))->getShortName()]);

        return $exception instanceof TooManyLoginAttemptsAuthenticationException
            ? (new Problem(429, 'Too many tries', 'Wait a minute, then try again.'))->response()
            : (new Problem(401, 'Not signed in', 'Wrong email or password.'))->response();
    }
}

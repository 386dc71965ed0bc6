<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Core\Exception\TooManyLoginAttemptsAuthenticationException;
use Symfony\Component\Security\Http\Authentication\AuthenticationFailureHandlerInterface;
use Telamon\Http\Problem;

/** Answers a sign-in that failed, without saying which of the two was wrong. */
final class SignInFailed implements AuthenticationFailureHandlerInterface
{
    public function onAuthenticationFailure(Request $request, AuthenticationException $exception): Response
    {
        return $exception instanceof TooManyLoginAttemptsAuthenticationException
            ? (new Problem(429, 'Too many tries', 'Wait a minute, then try again.'))->response()
            : (new Problem(401, 'Not signed in', 'The email and the password do not go together.'))->response();
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Symfony\Component\Security\Http\Authorization\AccessDeniedHandlerInterface;
use Telamon\Http\Problem;

/** Answers a request that the signed-in person's role does not allow. */
final class AccessDenied implements AccessDeniedHandlerInterface
{
    public function handle(Request $request, AccessDeniedException $accessDeniedException): Response
    {
        return (new Problem(403, 'Not allowed', 'Your role does not include this.'))->response();
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Access;

use Psr\Log\LoggerInterface;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Symfony\Component\Security\Http\Authorization\AccessDeniedHandlerInterface;
use Telamon\Http\Problem;

/** Answers a request that the signed-in person's role does not allow. */
final readonly class AccessDenied implements AccessDeniedHandlerInterface
{
    public function __construct(private LoggerInterface $accessLogger, private LoggedAddress $addresses, private Security $security)
    {
    }

    public function handle(Request $request, AccessDeniedException $accessDeniedException): Response
    {
        $this->accessLogger->warning(
            'Refused.',
            [
                'who' => $this->security->getUser()?->getUserIdentifier(),
                'from' => $this->addresses->of($request),
                'what' => $request->getMethod().' '.mb_substr($request->getPathInfo(), 0, 200),
            ],
        );

        return (new Problem(403, 'Not allowed', 'Your role does not include this.'))->response();
    }
}

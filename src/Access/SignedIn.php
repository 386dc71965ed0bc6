<?php

declare(strict_types=1);

namespace Telamon\Access;

use Psr\Log\LoggerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Http\Authentication\AuthenticationSuccessHandlerInterface;
use Telamon\Http\Disk;
use Telamon\Http\Problem;
use Telamon\Staff\Staff;

/** Answers a sign-in that succeeded. */
final readonly class SignedIn implements AuthenticationSuccessHandlerInterface
{
    public function __construct(private SessionView $view, private LoggerInterface $accessLogger, private LoggedAddress $addresses, private Disk $disk)
    {
    }

    /** @throws Problem 503 where the session could not be kept: whoever reads that one is in would be out with the next click */
    public function onAuthenticationSuccess(Request $request, TokenInterface $token): Response
    {
        $staff = $token->getUser();
        $this->disk->refuseUnwritable();
        $this->accessLogger->notice('Signed in.', ['who' => $token->getUserIdentifier(), 'from' => $this->addresses->of($request)]);

        return new JsonResponse($this->view->show($staff instanceof Staff ? $staff : throw new \LogicException('only staff sign in')));
    }
}

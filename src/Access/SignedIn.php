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
    public function __construct(
        private SessionView $view,
        private LoggerInterface $accessLogger,
        private LoggedAddress $addresses,
        private Disk $disk,
        private KnownDevice $devices,
    ) {
    }

    /** @throws Problem 503 where the session could not be kept: whoever reads that one is in would be out with the next click */
    public function onAuthenticationSuccess(Request $request, TokenInterface $token): Response
    {
        $staff = $token->getUser();
        $this->disk->refuseUnwritable();
        $this->accessLogger->notice('Signed in.', ['who' => $token->getUserIdentifier(), 'from' => $this->addresses->of($request)]);

        \assert($staff instanceof Staff);
        // A new sign-in is a new session, also for whoever was signed in already.
        $request->getSession()->migrate(true);
        $response = new JsonResponse($this->view->show($staff));
        $response->headers->setCookie($this->devices->cookie($staff, $request));

        return $response;
    }
}

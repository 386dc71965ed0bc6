<?php

declare(strict_types=1);

namespace Telamon\Access;

use Psr\Log\LoggerInterface;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** One's own password: changed, lost and chosen anew, and all sessions ended with it. */
final readonly class PasswordController
{
    public function __construct(
        private Passwords $passwords,
        private PasswordLinks $links,
        private AccountLimits $limits,
        private Security $security,
        private MessageBusInterface $bus,
        private LoggerInterface $accessLogger,
        private LoggedAddress $addresses,
    ) {
    }

    #[Route('/api/session/password', methods: ['PUT'])]
    #[IsGranted(Permission::Work->value)]
    public function change(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);
        $this->refuseWrong($staff, JsonBody::text($body, 'current', 200), 'current');
        $this->passwords->set($staff, JsonBody::text($body, 'next', 1000), 'next');

        return $this->stay($request, $staff, 'Changed their password.');
    }

    #[Route('/api/session/elsewhere', methods: ['DELETE'])]
    #[IsGranted(Permission::Work->value)]
    public function endElsewhere(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $password = JsonBody::text(JsonBody::read($request), 'password', 200);
        $this->refuseWrong($staff, $password, 'password');
        $this->passwords->renew($staff, $password);

        return $this->stay($request, $staff, 'Ended their other sessions.');
    }

    #[Route('/api/public/password-links', methods: ['POST'])]
    public function lost(Request $request): Response
    {
        $email = mb_strtolower(trim(JsonBody::text(JsonBody::read($request), 'email', 254)));
        if (!str_contains($email, '@')) {
            throw Problem::invalid('email', 'Write the address that you sign in with.');
        }
        if ($this->limits->mayMail($request, $email)) {
            $this->bus->dispatch(new SendPasswordLink($email));
        }
        $this->accessLogger->notice('A password link was asked for.', ['from' => $this->addresses->of($request)]);

        return new Response('', 204);
    }

    #[Route('/api/public/password', methods: ['PUT'])]
    public function choose(Request $request): Response
    {
        $body = JsonBody::read($request);
        $token = JsonBody::text($body, 'token', 400);
        $this->limits->open($request);
        $staff = $this->links->staffOf($token) ?? throw new Problem(410, 'Not good any more', 'This link was used, or is too old. Ask for another one.');
        $this->passwords->set($staff, JsonBody::text($body, 'password', 1000), 'password');
        $this->accessLogger->notice('Chose a password by a link.', ['who' => $staff->email, 'from' => $this->addresses->of($request)]);

        return new Response('', 204);
    }

    /** Whoever did it stays signed in here, in a session of its own; every other one has ended. */
    private function stay(Request $request, Staff $staff, string $words): Response
    {
        $request->getSession()->migrate(true);
        $this->security->login($staff, 'json_login', 'main');
        $this->accessLogger->notice($words, ['who' => $staff->email, 'from' => $this->addresses->of($request)]);

        return new Response('', 204);
    }

    private function refuseWrong(Staff $staff, string $password, string $field): void
    {
        $this->limits->say($staff->id);
        $this->passwords->refuseWrong($staff, $password, $field);
        $this->limits->wasRight($staff->id);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/** Ends sessions that nobody has used for a while, and all after a working day and a half. Runs before anybody is let in. */
#[AsEventListener(priority: 20)]
final class SessionLimits
{
    public const IDLE = 4 * 3600;
    public const ABSOLUTE = 16 * 3600;

    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest()) {
            return;
        }
        if (!$request->hasPreviousSession()) {
            // Where to go after signing in is the browser's business; without this a session would begin to remember it.
            $request->headers->set('X-Requested-With', 'XMLHttpRequest');

            return;
        }
        $session = $request->getSession();
        $session->start();
        $meta = $session->getMetadataBag();
        $now = time();
        if ($now - $meta->getLastUsed() > self::IDLE || $now - $meta->getCreated() > self::ABSOLUTE) {
            $session->invalidate();
        }
    }
}

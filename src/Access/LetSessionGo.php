<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ControllerArgumentsEvent;

/**
 * Once it is known who asks, their session is let go of: its file is locked while it is open, and everything else of
 * theirs would wait for this one. Only signing in and out write into it, and they come before or open it again.
 */
#[AsEventListener(priority: -100)]
final readonly class LetSessionGo
{
    public function __invoke(ControllerArgumentsEvent $event): void
    {
        $request = $event->getRequest();
        if ($event->isMainRequest() && $request->hasSession() && $request->getSession()->isStarted()) {
            $request->getSession()->save();
        }
    }
}

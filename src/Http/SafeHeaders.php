<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/** Headers that every answer carries. Pages get a policy with a nonce from the page itself; the rest may load nothing. */
#[AsEventListener]
final class SafeHeaders
{
    public function __invoke(ResponseEvent $event): void
    {
        if (!$event->isMainRequest()) {
            return;
        }
        $headers = $event->getResponse()->headers;
        $headers->set('X-Content-Type-Options', 'nosniff');
        $headers->set('Referrer-Policy', 'same-origin');
        $headers->set('Cross-Origin-Opener-Policy', 'same-origin');
        $headers->set('Cross-Origin-Resource-Policy', 'same-origin');
        $headers->set('Permissions-Policy', 'camera=(self), microphone=(), geolocation=(), payment=()');
        $headers->set('X-Frame-Options', 'DENY');
        if (!$headers->has('Content-Security-Policy')) {
            $headers->set('Content-Security-Policy', "default-src 'none'; frame-ancestors 'none'; sandbox");
        }
        if (!$headers->has('Cache-Control') || 'no-cache, private' === $headers->get('Cache-Control')) {
            $headers->set('Cache-Control', 'no-store, private');
        }
    }
}

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
        if (!$headers->has('Content-Security-Policy')) {
            $headers->set('Content-Security-Policy', "default-src 'none'; frame-ancestors 'none'; sandbox");
        }
        // The older header knows no list of sites: where there is one, the policy alone speaks.
        if (str_contains((string) $headers->get('Content-Security-Policy'), "frame-ancestors 'none'")) {
            $headers->set('X-Frame-Options', 'DENY');
        }
        if (!$headers->has('Cache-Control') || 'no-cache, private' === $headers->get('Cache-Control')) {
            $headers->set('Cache-Control', 'no-store, private');
        }
    }
}

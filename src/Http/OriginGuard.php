<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/**
 * Refuses state changes that another site might have caused: the origin must be this application, and a
 * body must be of a kind that a foreign form cannot send unnoticed. Runs before anything reads the body.
 */
#[AsEventListener(priority: 300)]
final class OriginGuard
{
    private const SIGNED = '#^/(stop|confirm)/#';
    private const MAX_PRESSED = 4096;
    private const MAX_JSON = 1_048_576;
    private const MAX_MULTIPART = 12_582_912;

    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if ($request->isMethodSafe() || !$event->isMainRequest()) {
            return;
        }
        if (1 === preg_match(self::SIGNED, $request->getPathInfo())) {
            // A mail program presses it from outside (RFC 8058), or a page that says nothing of where it was. What it may do is signed into the link, and no session is read.
            if ((int) $request->headers->get('Content-Length', '0') > self::MAX_PRESSED) {
                $event->setResponse((new Problem(413, 'Too large', 'Nothing needs to be sent here.'))->response());
            }

            return;
        }
        if (!self::sameOrigin($request)) {
            $event->setResponse((new Problem(403, 'Not from here', 'State changes need an Origin that matches this application.'))->response());

            return;
        }
        $length = (int) $request->headers->get('Content-Length', '0');
        $kind = strtolower(trim(explode(';', $request->headers->get('Content-Type', ''))[0]));
        if (!\in_array($kind, ['application/json', 'multipart/form-data'], true) && ($length > 0 || '' !== $kind)) {
            $event->setResponse((new Problem(403, 'Not a kind taken here', 'Send JSON, or multipart form data for files.'))->response());

            return;
        }
        if ($length > ('multipart/form-data' === $kind ? self::MAX_MULTIPART : self::MAX_JSON)) {
            $event->setResponse((new Problem(
                413,
                'Too large',
                'multipart/form-data' === $kind ? 'A file may have at most 10 MB.' : 'The body may have at most 1 MB.',
            ))->response());
        }
    }

    private static function sameOrigin(Request $request): bool
    {
        $origin = $request->headers->get('Origin');

        return null === $origin
            ? 'same-origin' === $request->headers->get('Sec-Fetch-Site')
            : hash_equals($request->getSchemeAndHttpHost(), $origin);
    }
}

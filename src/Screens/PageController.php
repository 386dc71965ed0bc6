<?php

declare(strict_types=1);

namespace Telamon\Screens;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Telamon\Booking\BookingPages;
use Telamon\Forms\PublishedForms;
use Telamon\Http\BuiltAssets;
use Twig\Environment;

/** Serves the two pages that the interface lives in: what the public sees, and what staff see. */
final readonly class PageController
{
    private const STAFF_WORDS = [
        '',
        'arrivals',
        'inquiry',
        'clients',
        'projects',
        'messages',
        'diary',
        'quotes',
        'today',
        'forms',
        'rules',
        'checklists',
        'tasks',
        'setup',
        'account',
        'sign-in',
        'new-password',
    ];

    public function __construct(private Environment $twig, private BuiltAssets $assets, private PublishedForms $forms, private BookingPages $bookings)
    {
    }

    #[Route('/f/{slug}', methods: ['GET'], priority: -5)]
    public function form(string $slug, Request $request): Response
    {
        $form = $this->forms->find($slug);
        $framed = $request->query->has('embed') ? ($form->sites ?? []) : [];
        if (null !== $form && $request->query->has('embed') && self::isElsewhere($request, $framed)) {
            return $this->notHere($slug, $form->title);
        }

        return $this->page('src/client/main.tsx', null === $form ? 404 : 200, $framed);
    }

    #[Route('/book/{slug}', methods: ['GET'], priority: -5)]
    public function booking(string $slug, Request $request): Response
    {
        $page = $this->bookings->findLive($slug);
        $framed = $request->query->has('embed') ? ($page->sites ?? []) : [];
        if (null !== $page && $request->query->has('embed') && self::isElsewhere($request, $framed)) {
            return $this->notHere($slug, $page->title);
        }

        return $this->page('src/client/main.tsx', null === $page ? 404 : 200, $framed);
    }

    #[Route('/visit/{token}', methods: ['GET'], priority: -5)]
    public function visit(string $token): Response
    {
        return $this->page('src/client/main.tsx', 200);
    }

    #[Route('/quote/{token}', methods: ['GET'], priority: -5)]
    #[Route('/agreement/{token}', methods: ['GET'], priority: -5)]
    public function quote(string $token): Response
    {
        return $this->page('src/client/main.tsx', 200);
    }

    #[Route('/{path}', requirements: ['path' => '(?!api(/|$)).*'], methods: ['GET'], priority: -10)]
    public function staff(string $path): Response
    {
        return $this->page('src/staff/main.tsx', \in_array(explode('/', $path)[0], self::STAFF_WORDS, true) ? 200 : 404);
    }

    /**
     * Whether a browser asks for it for a frame on a site that is not listed.
     *
     * @param list<string> $sites
     */
    private static function isElsewhere(Request $request, array $sites): bool
    {
        if ('iframe' !== $request->headers->get('Sec-Fetch-Dest') || 'same-origin' === $request->headers->get('Sec-Fetch-Site')) {
            return false;
        }
        $parts = parse_url($request->headers->get('Referer') ?? $request->query->getString('page'));
        $origin = \is_array($parts) ? ($parts['scheme'] ?? '').'://'.($parts['host'] ?? '').(isset($parts['port']) ? ":{$parts['port']}" : '') : '';

        return !\in_array($origin, $sites, true);
    }

    /** Says so in the frame, with a way to the form: there is nothing on it that could be clicked unknowingly. */
    private function notHere(string $slug, string $title): Response
    {
        $response = new Response($this->twig->render('not-here.html.twig', ['slug' => $slug, 'title' => $title]));
        $response->headers->set('Content-Security-Policy', "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors *; sandbox allow-popups");

        return $response;
    }

    /** @param list<string> $framedBy origins of sites that may show it in a frame */
    private function page(string $entry, int $status, array $framedBy = []): Response
    {
        $nonce = bin2hex(random_bytes(16));
        $response = new Response($this->twig->render('page.html.twig', ['nonce' => $nonce, 'assets' => $this->assets->entry($entry)]), $status);
        $response->headers->set('Content-Security-Policy', implode('; ', [
            "default-src 'none'", "script-src 'self'", "style-src 'self' 'nonce-$nonce'", "img-src 'self' blob: data:", "font-src 'self'",
            "connect-src 'self'", "form-action 'self'", "base-uri 'none'", 'frame-ancestors '.([] === $framedBy ? "'none'" : implode(' ', $framedBy)),
        ]));

        return $response;
    }
}

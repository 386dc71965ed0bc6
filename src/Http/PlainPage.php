<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\HttpFoundation\Response;
use Twig\Environment;

/** A page that needs no script: one thing to read, and a form. It may load the styles that ship, and send to where it came from. */
final readonly class PlainPage
{
    public function __construct(private Environment $twig, private BuiltAssets $assets)
    {
    }

    /**
     * @param string $template that extends plain.html.twig
     * @param array{name: string, phone: string, phoneText: string} $business as its public face
     * @param array<string, mixed> $values
     */
    public function show(string $template, array $business, array $values, int $status = 200): Response
    {
        $nonce = bin2hex(random_bytes(16));
        $response = new Response(
            $this->twig->render($template, ['nonce' => $nonce, 'styles' => $this->assets->entry('src/client/main.tsx')['styles'], 'business' => $business] + $values),
            $status,
            ['X-Robots-Tag' => 'noindex', 'Cache-Control' => 'no-store'],
        );
        $response->headers->set(
            'Content-Security-Policy',
            "default-src 'none'; style-src 'self' 'nonce-$nonce'; font-src 'self'; img-src data:; form-action 'self'; base-uri 'none'; frame-ancestors 'none'",
        );

        return $response;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** A route that does nothing, there only while bin/bench runs: the floor that other routes are measured against. */
final readonly class EmptyController
{
    public function __construct(
        #[Autowire(env: 'bool:TELAMON_BENCH')]
        private bool $bench,
    ) {
    }

    #[Route('/api/empty', methods: ['GET'])]
    public function show(): Response
    {
        return $this->bench ? new Response('', 204) : throw Problem::notFound('thing');
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Telamon\Business\Logo;
use Telamon\Http\Problem;

/** The business's logo, for everybody. What stands under an id never changes. */
final readonly class LogoController
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    #[Route('/api/public/logo/{id}', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['GET'])]
    public function show(string $id): Response
    {
        $logo = $this->em->find(Logo::class, $id) ?? throw Problem::notFound('logo');

        return new Response($logo->bytes(), 200, ['Content-Type' => $logo->type, 'Cache-Control' => 'public, max-age=31536000, immutable']);
    }
}

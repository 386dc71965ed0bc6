<?php

declare(strict_types=1);

namespace Telamon\Screens;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Staff\Permission;

#[IsGranted(Permission::Work->value)]
final readonly class WallController
{
    public function __construct(private WallView $wall)
    {
    }

    #[Route('/api/wall', methods: ['GET'])]
    public function show(): Response
    {
        return new JsonResponse($this->wall->show());
    }
}

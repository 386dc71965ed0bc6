<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Telamon\Queue\QueueState;

final readonly class HealthController
{
    public function __construct(private QueueState $queue)
    {
    }

    #[Route('/api/health', methods: ['GET'])]
    public function show(): Response
    {
        try {
            return new JsonResponse(['status' => 'ok', 'database' => 'ok', 'queue' => $this->queue->read()]);
        } catch (\Doctrine\DBAL\Exception) {
            throw new Problem(503, 'Not well', 'The database does not answer.');
        }
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Telamon\Queue\QueueState;
use Telamon\Queue\Stuck;

final readonly class HealthController
{
    /** Seconds that a message which is due may wait before something is wrong with the workers. */
    private const STALLED = 300;
    /** Bytes left on the disk under which somebody should look. */
    private const LITTLE = 536_870_912;

    public function __construct(private QueueState $queue, private Disk $disk, private Stuck $stuck, private WriteProbe $probe, private string $dataFolder)
    {
    }

    #[Route('/api/health', methods: ['GET'])]
    public function show(): Response
    {
        try {
            $queue = $this->queue->read();
            $room = (int) @disk_free_space($this->dataFolder);
            $this->disk->refuseUnwritable();
            $this->probe->write();
            $work = ['stuck' => \count($this->stuck->words()), 'stalled' => $this->stuck->stalled()];
            $isStalled = $queue['oldestSeconds'] > self::STALLED;

            return new JsonResponse([
                'status' => $isStalled || $room < self::LITTLE || 0 < $work['stuck'] || [] !== $work['stalled'] ? 'troubled' : 'ok',
                'database' => 'ok',
                'queue' => $queue,
                'work' => $work,
                'freeMegabytes' => intdiv($room, 1_048_576),
            ]);
        } catch (\Doctrine\DBAL\Exception) {
            throw new Problem(503, 'Not well', 'The database does not answer, or takes nothing.');
        }
    }
}

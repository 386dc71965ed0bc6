<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Telamon\Clients\ClientFilter;
use Telamon\Clients\Work;

/** The projects of clients, for their list. */
final readonly class ProjectsOfClients implements Work
{
    public function __construct(private Connection $db)
    {
    }

    public function projects(array $clients): array
    {
        return array_map(
            static fn (mixed $n): int => is_numeric($n) ? (int) $n : 0,
            $this->db->fetchAllKeyValue('SELECT client_id, COUNT(*) FROM project WHERE client_id IN (?) GROUP BY client_id', [$clients], [ArrayParameterType::STRING]),
        );
    }

    public function open(): ClientFilter
    {
        return new ClientFilter('SELECT client_id FROM project WHERE closed_at IS NULL', 'EXISTS (SELECT 1 FROM project w WHERE w.client_id = c.id AND w.closed_at IS NULL)');
    }

    public function ofService(string $service): ClientFilter
    {
        return new ClientFilter(
            'SELECT client_id FROM project WHERE service = :service',
            'EXISTS (SELECT 1 FROM project s WHERE s.client_id = c.id AND s.service = :service)',
            ['service' => $service],
        );
    }
}

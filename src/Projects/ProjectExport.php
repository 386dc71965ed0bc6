<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\Request;
use Telamon\Business\Service;

/** Projects as rows of a file, in the order of the list. */
final readonly class ProjectExport
{
    private const COLUMNS = [
        'number' => 'number',
        'title' => 'title',
        'client' => 'client',
        'service' => 'service',
        'stage' => 'stage',
        'outcome' => 'outcome',
        'lead' => 'lead',
        'readyBy' => 'ready by',
        'openedOn' => 'opened',
        'tasksDone' => 'tasks done',
        'tasks' => 'tasks',
        'source' => 'source',
        'budget' => 'budget',
        'tags' => 'tags',
    ];

    public function __construct(private ProjectList $list, private EntityManagerInterface $em)
    {
    }

    /** @return iterable<list<string>> the heads first */
    public function rows(Request $request): iterable
    {
        $services = array_column($this->em->getRepository(Service::class)->findAll(), 'name', 'key');
        yield array_values(self::COLUMNS);
        foreach ($this->list->all($request) as $row) {
            $row['service'] = $services[\is_string($row['service']) ? $row['service'] : ''] ?? '';
            yield array_map(static fn (string $key): string => self::text($row[$key]), array_keys(self::COLUMNS));
        }
    }

    private static function text(mixed $value): string
    {
        return match (true) {
            // A record is told by its name.
            \is_array($value) && \is_string($value['label'] ?? null) => $value['label'],
            \is_array($value) => implode(', ', array_filter($value, is_string(...))),
            default => \is_scalar($value) ? (string) $value : '',
        };
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Files;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Access\Viewer;
use Telamon\Clients\Client;
use Telamon\Clients\ClientSection;
use Telamon\Projects\Project;
use Telamon\Projects\ProjectSection;

/** The files that were put with a client or a project, for its page. */
final readonly class FilesOfRecords implements ClientSection, ProjectSection
{
    private const RECENT = 40;
    private const OF_PROJECT = 200;

    public function __construct(private EntityManagerInterface $em, private Viewer $viewer)
    {
    }

    public static function name(): string
    {
        return 'files';
    }

    public function ofClient(Client $client): array
    {
        return $this->shown($this->em->getRepository(Attachment::class)->findBy(['client' => $client], ['id' => 'DESC'], self::RECENT));
    }

    public function ofProject(Project $project): array
    {
        return $this->shown($this->em->getRepository(Attachment::class)->findBy(['project' => $project], ['id' => 'ASC'], self::OF_PROJECT));
    }

    /**
     * @param list<Attachment> $files
     *
     * @return list<array<string, mixed>> as FileRef in the contract
     */
    private function shown(array $files): array
    {
        return array_map(static fn (Attachment $file): array => $file->toArray(), array_values(array_filter($files, $this->viewer->sees(...))));
    }
}

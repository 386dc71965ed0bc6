<?php

declare(strict_types=1);

namespace Telamon\Files;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Access\Viewer;

/** The files that were put with a client or a project. */
final readonly class FilesOfRecords
{
    private const RECENT = 40;
    private const OF_PROJECT = 200;

    public function __construct(private EntityManagerInterface $em, private Viewer $viewer)
    {
    }

    /** @return list<array<string, mixed>> the newest first */
    public function ofClient(string $client): array
    {
        return $this->shown($this->em->getRepository(Attachment::class)->findBy(['client' => $client, 'removedAt' => null], ['id' => 'DESC'], self::RECENT));
    }

    /** @return list<array<string, mixed>> in the order in which they came */
    public function ofProject(string $project): array
    {
        return $this->shown($this->em->getRepository(Attachment::class)->findBy(['project' => $project, 'removedAt' => null], ['id' => 'ASC'], self::OF_PROJECT));
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

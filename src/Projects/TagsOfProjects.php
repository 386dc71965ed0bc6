<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Record\HoldsTags;

/** The tags that projects carry. */
final readonly class TagsOfProjects implements HoldsTags
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function what(): string
    {
        return 'projects';
    }

    public function counts(): array
    {
        return array_count_values(array_merge(...array_values($this->tagged())));
    }

    public function with(string $tag, int $most): array
    {
        $ids = array_keys(array_filter($this->tagged(), static fn (array $tags): bool => \in_array($tag, $tags, true)));

        return $this->em->getRepository(Project::class)->findBy(['id' => \array_slice($ids, 0, $most)]);
    }

    /** @return array<string, list<string>> tags by id of the project; those without any are left out */
    private function tagged(): array
    {
        /** @var list<array{id: string, tags: list<string>}> $rows */
        $rows = $this->em->createQueryBuilder()->select('p.id AS id', 'p.tags AS tags')->from(Project::class, 'p')->where("p.tags <> '[]'")->getQuery()->getResult();

        return array_column($rows, 'tags', 'id');
    }
}

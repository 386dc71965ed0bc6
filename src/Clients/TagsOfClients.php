<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Record\HoldsTags;

/** The tags that clients carry, as the database keeps them beside the clients. */
final readonly class TagsOfClients implements HoldsTags
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function what(): string
    {
        return 'clients';
    }

    public function counts(): array
    {
        /** @var list<array{tag: string, n: int|string}> $rows */
        $rows = $this->em->createQueryBuilder()->select('t.tag AS tag', 'COUNT(t.clientId) AS n')->from(ClientTag::class, 't')->groupBy('t.tag')->getQuery()->getResult();

        return array_map(intval(...), array_column($rows, 'n', 'tag'));
    }

    public function with(string $tag, int $most): array
    {
        $ids = $this->em->createQueryBuilder()
            ->select('t.clientId')
            ->from(ClientTag::class, 't')
            ->where('t.tag = :tag')
            ->setParameter('tag', $tag)
            ->setMaxResults($most)
            ->getQuery()
            ->getSingleColumnResult();

        return $this->em->getRepository(Client::class)->findBy(['id' => $ids]);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;

/** What clients allowed, and last said about it. */
final readonly class Consents
{
    private const MOST = 100;

    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * Whether their last answer to it was yes.
     *
     * @param string $what its name, whatever its letters' case
     */
    public function has(Client $client, string $what): bool
    {
        foreach ($this->em->getRepository(Consent::class)->findBy(['client' => $client], ['day' => 'DESC', 'id' => 'DESC']) as $consent) {
            if (mb_strtolower($consent->what) === mb_strtolower($what)) {
                return $consent->given;
            }
        }

        return false;
    }

    /** @return list<string> names of all consents that anybody was asked for */
    public function names(): array
    {
        /** @var list<string> $names */
        $names = $this->em->createQueryBuilder()
            ->select('DISTINCT c.what')
            ->from(Consent::class, 'c')
            ->orderBy('c.what')
            ->setMaxResults(self::MOST)
            ->getQuery()
            ->getSingleColumnResult();

        return $names;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\DependencyInjection\Attribute\AsAlias;
use Telamon\Core\Matching\Directory;
use Telamon\Core\Matching\KnownClient;

/** The clients on file, for the core's matching. */
#[AsAlias(Directory::class)]
final readonly class ClientDirectory implements Directory
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function withEmail(string $key): array
    {
        /** @var list<Client> $clients */
        $clients = $this->em->createQueryBuilder()->select('DISTINCT c')->from(Client::class, 'c')
            ->join(ContactPoint::class, 'p', 'WITH', 'p.client = c')
            ->where('p.kind = :kind')->andWhere('p.matchKey = :key')
            ->setParameter('kind', ContactKind::Email->value)->setParameter('key', $key)
            ->orderBy('c.since')->addOrderBy('c.id')->setMaxResults(5)
            ->getQuery()->getResult();

        return array_map($this->known(...), $clients);
    }

    /** @return array<string, string> */
    private static function fields(Client $client): array
    {
        $fields = ['organisation' => $client->organisation];
        foreach ($client->custom as $key => $value) {
            $fields["custom.$key"] = $value;
        }

        return $fields;
    }

    private function known(Client $client): KnownClient
    {
        $values = static fn (ContactKind $kind): array => array_values(array_map(
            static fn (ContactPoint $point): string => $point->value,
            $client->contactPoints->filter(static fn (ContactPoint $point): bool => $point->kind === $kind)->toArray(),
        ));
        $assets = array_map(
            static fn (Asset $asset): array => ['id' => $asset->id, 'description' => $asset->description, 'serial' => $asset->serialNumber],
            $this->em->getRepository(Asset::class)->findBy(['client' => $client], ['id' => 'ASC'], 50),
        );

        return new KnownClient($client->id, $client->name(), (int) $client->since->format('Y'), $values(ContactKind::Email), $values(ContactKind::Phone), $client->address, $assets, self::fields($client));
    }
}

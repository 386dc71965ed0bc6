<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Archives clients and brings them back, and deletes those on whom nothing hangs. Erasing somebody's data is another matter. */
final readonly class ClientRemoval
{
    /** What goes with a client. */
    private const PARTS = [ContactPoint::class, Contact::class, Consent::class, Asset::class];

    /** @param array<string, class-string> $recordClasses by kind */
    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private ClockInterface $clock,
        #[Autowire('%telamon.records%')] private array $recordClasses,
    ) {
    }

    /** @throws Refusal where somebody was quicker */
    public function archive(Client $client, bool $archived, int $version, Staff $staff): void
    {
        $this->changes->carryOut($this->change(
            ($archived ? 'archived ' : 'brought back ').$client->name(),
            $client,
            $staff,
        )->looking($client, $version), function () use ($client, $archived): void {
            $client->archive($archived ? $this->clock->now() : null);
        });
    }

    /** @throws Refusal where something hangs on them, or somebody was quicker */
    public function delete(Client $client, int $version, Staff $staff): void
    {
        $this->changes->carryOut($this->change("deleted {$client->name()}", $client, $staff)->looking($client, $version), function () use ($client): void {
            $holds = $this->holds($client);
            if ([] !== $holds) {
                throw new StillNeeded($client->name(), $holds);
            }
            foreach (self::PARTS as $class) {
                foreach ($this->em->getRepository($class)->findBy(['client' => $client]) as $part) {
                    $this->em->remove($part);
                }
            }
            foreach (['client', 'other'] as $side) {
                foreach ($this->em->getRepository(ClientLink::class)->findBy([$side => $client]) as $link) {
                    $this->em->remove($link);
                }
            }
            $this->em->flush();
            $this->em->remove($client);
        });
    }

    /**
     * What points at a client or at what they have, beside their own parts: whatever room it is in.
     *
     * @return list<array{what: string, count: int}> “3 projects”
     */
    public function holds(Client $client): array
    {
        $counts = [];
        $assets = $this->em->getRepository(Asset::class)->findBy(['client' => $client]);
        foreach ($this->em->getMetadataFactory()->getAllMetadata() as $meta) {
            if (\in_array($meta->getName(), [...self::PARTS, ClientLink::class], true)) {
                continue;
            }
            foreach ($meta->getAssociationNames() as $property) {
                $target = $meta->getAssociationTargetClass($property);
                if (!$meta->isSingleValuedAssociation($property) || !\in_array($target, [Client::class, Asset::class], true)) {
                    continue;
                }
                $kind = array_search($meta->getName(), $this->recordClasses, true);
                $found = $this->em->getRepository($meta->getName())->count([$property => Client::class === $target ? $client : $assets]);
                // A project is about the client and about what they have: counted once.
                $counts[false === $kind ? 'other record' : $kind] = max($counts[false === $kind ? 'other record' : $kind] ?? 0, $found);
            }
        }
        $holds = [];
        foreach (array_filter($counts, static fn (int $count): bool => $count > 0) as $kind => $count) {
            $holds[] = ['what' => 1 === $count ? "1 $kind" : "$count ".(str_ends_with($kind, 'y') ? substr($kind, 0, -1).'ies' : "{$kind}s"), 'count' => $count];
        }

        return $holds;
    }

    private function change(string $words, Client $client, Staff $staff): Act
    {
        return Act::of(ChangeKind::Edit, $words, $staff)->about($client);
    }
}

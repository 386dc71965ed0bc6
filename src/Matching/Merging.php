<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\Client;
use Telamon\Clients\ContactPoint;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Makes one client of two, or says that they are two. */
final readonly class Merging
{
    public const FIELDS = ['name', 'organisation', 'address', 'language'];

    public function __construct(private EntityManagerInterface $em, private Changes $changes)
    {
    }

    /**
     * All that hangs on the other client hangs on the first from now on; the other points at it.
     *
     * @param list<string> $take which of FIELDS, or custom.…, the other's value is taken of
     *
     * @return Change that can be taken back
     *
     * @throws Refusal when one of them was merged meanwhile
     */
    public function merge(Client $into, Client $other, array $take, Staff $staff): Change
    {
        $change = $this->changes->change(Act::of(ChangeKind::Merge, "made one client of {$into->name()} and {$other->name()}", $staff)->about($into));
        $this->changes->carryOut($change, function () use ($into, $other, $take): void {
            $this->refuseMerged($into, $other);
            $into->takeOver($other, $take);
            $this->move($into, $other);
            $other->mergeInto($into);
        });

        return $change;
    }

    /** @throws Refusal when one of them was merged meanwhile */
    public function tellApart(Client $one, Client $other, Staff $staff): Change
    {
        $change = $this->changes->change(Act::of(ChangeKind::TellApart, "told {$one->name()} from {$other->name()}", $staff)->about($one));
        $this->changes->carryOut($change, function () use ($one, $other): void {
            $this->refuseMerged($one, $other);
            $this->em->persist(new ToldApart($one, $other));
        });

        return $change;
    }

    private function refuseMerged(Client $one, Client $other): void
    {
        foreach ([$one, $other] as $client) {
            $this->em->refresh($client);
            if (null !== $client->mergedInto) {
                throw new MergedAlready("{$client->name()} was merged into {$client->mergedInto->name()} meanwhile.");
            }
        }
    }

    /** Every record that points at the other points at the first; a mail address or number that both have stays behind. */
    private function move(Client $into, Client $other): void
    {
        $known = array_map(static fn (ContactPoint $point): string => $point->matchKey, $into->contactPoints->toArray());
        foreach ($this->em->getMetadataFactory()->getAllMetadata() as $meta) {
            foreach ($meta->getAssociationNames() as $property) {
                if (
                    Client::class !== $meta->getAssociationTargetClass($property)
                    || !$meta->isSingleValuedAssociation($property)
                    || \in_array($meta->getName(), [Client::class, ToldApart::class], true)
                ) {
                    continue;
                }
                foreach ($this->em->getRepository($meta->getName())->findBy([$property => $other]) as $record) {
                    if (!$record instanceof ContactPoint || !\in_array($record->matchKey, $known, true)) {
                        $meta->setFieldValue($record, $property, $into);
                    }
                }
            }
        }
        // Those merged into the other before.
        foreach ($this->em->getRepository(Client::class)->findBy(['mergedInto' => $other]) as $earlier) {
            $earlier->mergeInto($into);
        }
    }
}

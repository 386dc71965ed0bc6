<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Clients\Client;
use Telamon\Clients\ContactPoint;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Makes one client of two, or says that they are two. */
final readonly class Merging
{
    public const FIELDS = ['name', 'organisation', 'address'];

    public function __construct(private EntityManagerInterface $em, private Changes $changes, private ClockInterface $clock)
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
        $change = new Change(ChangeKind::Merge, mb_substr("made one client of {$into->name()} and {$other->name()}", 0, 300), $staff, $this->clock->now(), null, 'client', $into->id, $into->name());
        $this->changes->carryOut($change, function () use ($into, $other, $take): void {
            $this->refuseMerged($into, $other);
            $this->fields($into, $other, $take);
            $this->move($into, $other);
            $other->mergedInto = $into;
        });

        return $change;
    }

    /** @throws Refusal when one of them was merged meanwhile */
    public function tellApart(Client $one, Client $other, Staff $staff): Change
    {
        $change = new Change(ChangeKind::TellApart, mb_substr("told {$one->name()} from {$other->name()}", 0, 300), $staff, $this->clock->now(), null, 'client', $one->id, $one->name());
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

    /** @param list<string> $take */
    private function fields(Client $into, Client $other, array $take): void
    {
        if (\in_array('name', $take, true)) {
            [$into->givenName, $into->familyName] = [$other->givenName, $other->familyName];
            $into->sortName = $other->sortName;
        }
        $addresses = [$into->address, ...$into->otherAddresses, $other->address, ...$other->otherAddresses];
        foreach (['organisation', 'address', 'externalId'] as $field) {
            if ('' !== $other->$field && ('' === $into->$field || \in_array($field, $take, true))) {
                $into->$field = $other->$field;
            }
        }
        $into->notes = implode("\n\n", array_unique(array_filter([$into->notes, $other->notes], static fn (string $note): bool => '' !== $note)));
        // An address that gave way stays beside the one that was taken.
        $into->otherAddresses = array_values(array_unique(array_filter($addresses, static fn (string $address): bool => '' !== $address && $address !== $into->address)));
        $into->owner ??= $other->owner;
        $into->tags = array_values(array_unique([...$into->tags, ...$other->tags]));
        foreach ($other->custom as $key => $value) {
            if (!isset($into->custom[$key]) || \in_array("custom.$key", $take, true)) {
                $into->custom = [$key => $value] + $into->custom;
            }
        }
        $into->since = min($into->since, $other->since);
    }

    /** Every record that points at the other points at the first; a mail address or number that both have stays behind. */
    private function move(Client $into, Client $other): void
    {
        $known = array_map(static fn (ContactPoint $point): string => $point->matchKey, $into->contactPoints->toArray());
        foreach ($this->em->getMetadataFactory()->getAllMetadata() as $meta) {
            foreach ($meta->getAssociationNames() as $property) {
                if (Client::class !== $meta->getAssociationTargetClass($property) || !$meta->isSingleValuedAssociation($property) || \in_array($meta->getName(), [Client::class, ToldApart::class], true)) {
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
            $earlier->mergedInto = $into;
        }
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Drafts;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Access\Viewer;
use Telamon\Business\Profile;
use Telamon\Record\ChangedMeanwhile;
use Telamon\Record\Records;
use Telamon\Refusal\InvalidInput;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/**
 * The one store of what is typed: by person and by name of what is changed. It is no record and changes none, so no
 * journal tells of it. What was kept elsewhere since is never overwritten unseen.
 */
final readonly class Drafts
{
    /** Bytes of one, as JSON. */
    public const LARGEST = 262_144;
    /** Of one person. */
    public const MOST = 500;

    public function __construct(private EntityManagerInterface $em, private ClockInterface $clock, private Viewer $viewer, private Records $records, private Profile $business)
    {
    }

    /** @return list<Draft> the latest first */
    public function of(Staff $staff): array
    {
        return $this->em->getRepository(Draft::class)->findBy(['staff' => $staff->id], ['at' => 'DESC', 'id' => 'DESC'], self::MOST);
    }

    public function find(Staff $staff, string $name): ?Draft
    {
        return $this->em->getRepository(Draft::class)->findOneBy(['staff' => $staff->id, 'name' => $name]);
    }

    /**
     * @param int $revision that it was typed over; 0 for none
     * @param string $value as JSON
     *
     * @throws ChangedMeanwhile where something else was kept since
     * @throws InvalidInput where it is too much
     */
    public function keep(Staff $staff, string $name, int $revision, string $value): Draft
    {
        if (\strlen($value) > self::LARGEST) {
            throw new InvalidInput('value', 'This is too much to be kept while it is not saved. Save it in parts.');
        }

        return $this->em->wrapInTransaction(function () use ($staff, $name, $revision, $value): Draft {
            $draft = $this->find($staff, $name);
            if (null === $draft) {
                if ($this->em->getRepository(Draft::class)->count(['staff' => $staff->id]) >= self::MOST) {
                    throw new InvalidInput('name', 'You have '.self::MOST.' things begun and not saved. Save or cancel one first.');
                }
                $this->em->persist($draft = new Draft($staff->id, $name, $value, $this->clock->now()));

                return $draft;
            }
            // The same words again are an answer that did not come through.
            if ($draft->value === $value) {
                return $draft;
            }
            if ($draft->revision !== $revision) {
                throw new ChangedMeanwhile('You have typed something else here in another window or on another device.');
            }
            $draft->goOn($value, $this->clock->now());

            return $draft;
        });
    }

    /** @throws ChangedMeanwhile where something else was kept since */
    public function forget(Staff $staff, string $name, int $revision): void
    {
        $this->em->wrapInTransaction(function () use ($staff, $name, $revision): void {
            $draft = $this->find($staff, $name);
            if (null === $draft) {
                return;
            }
            if ($draft->revision > $revision) {
                throw new ChangedMeanwhile('You have typed something else here in another window or on another device.');
            }
            $this->em->remove($draft);
        });
    }

    /**
     * Who else is changing the same, the latest first; nobody where it is about a record that may not be read.
     *
     * @return list<array{who: string, at: string}>
     */
    public function others(Staff $staff, string $name): array
    {
        if (!$this->seesWhat($name)) {
            return [];
        }
        $drafts = $this->em->createQuery(
            'SELECT d.at AS at, s.name AS who FROM '.Draft::class.' d JOIN '.Staff::class.' s WITH s.id = d.staff WHERE d.name = :name AND d.staff <> :me ORDER BY d.at DESC',
        )
            ->setParameters(['name' => $name, 'me' => $staff->id])->setMaxResults(10)->getResult();

        /** @var list<array{at: \DateTimeImmutable, who: string}> $drafts */
        return array_map(fn (array $one): array => ['who' => $one['who'], 'at' => $one['at']->setTimezone($this->business->zone())->format(\DATE_RFC3339)], $drafts);
    }

    private function seesWhat(string $name): bool
    {
        [$kind, $id] = explode('.', $name) + [1 => ''];
        $record = $this->records->record($kind, $id);

        return null === $record ? $this->viewer->may(Permission::SeeAll) : $this->viewer->sees($record);
    }
}

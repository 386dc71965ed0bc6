<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\ChecklistTemplate;
use Telamon\Core\Checklists\Anchors;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistItem;
use Telamon\Core\Checklists\ChecklistMerge;
use Telamon\Core\Checklists\InvalidChecklist;
use Telamon\Core\Checklists\Joins;
use Telamon\Core\Checklists\UnreadableOutline;
use Telamon\Core\Checklists\WorkInCircle;
use Telamon\Core\Time\WorkingDays;
use Telamon\Staff\Role;

/** The checklists that are in use, and whether one more fits among them. */
final readonly class Lists
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** @return list<ChecklistTemplate> the base first, then by name */
    public function kept(): array
    {
        return $this->em->getRepository(ChecklistTemplate::class)->findBy(['retired' => false], ['isBase' => 'DESC', 'name' => 'ASC']);
    }

    /** @return array<string, Checklist> by key, the base first */
    public function all(): array
    {
        $all = [];
        foreach ($this->kept() as $kept) {
            $all[$kept->key] = $kept->toChecklist();
        }

        return $all;
    }

    /**
     * @param list<Checklist> $more that are new, or stand in the place of those with their keys
     *
     * @throws InvalidChecklist where one names what is not there, or items would wait for one another
     */
    public function refuseMisfits(array $more): void
    {
        $all = $this->all();
        foreach ($more as $list) {
            $all[$list->key] = $list;
        }
        $names = [];
        foreach ($all as $list) {
            foreach ($list->items as $item) {
                $names[$list->fullKey($item)] = $item->name;
            }
        }
        $joins = new Joins(array_values($all));
        foreach ($more as $list) {
            if ('' !== $list->joinsAfter && null === $joins->of($list)) {
                throw new InvalidChecklist('joinsAfter', "It joins after {$list->joinsAfter}, which no checklist has.");
            }
            self::refuseUnknown($list, $names);
        }
        try {
            // With every item: a circle that only some answers close is one all the same.
            (new ChecklistMerge(new WorkingDays([1, 2, 3, 4, 5], [])))->merge(array_map(self::always(...), array_values($all)), new Anchors(new \DateTimeImmutable('2026-01-05')));
        } catch (WorkInCircle $circle) {
            $told = array_map(static fn (string $key): string => '“'.($names[$key] ?? $key).'”', [...$circle->keys, $circle->keys[0]]);
            throw new InvalidChecklist('items', 'They would wait for one another: '.implode(' waits for ', $told).'.');
        } catch (UnreadableOutline $error) {
            throw new InvalidChecklist('joinsAfter', $error->getMessage());
        }
    }

    /** @param array<string, string> $names by full key */
    private static function refuseUnknown(Checklist $list, array $names): void
    {
        foreach ($list->items as $i => $item) {
            if ('' !== $item->approval && null === Role::tryFrom($item->approval)) {
                throw new InvalidChecklist("items.$i.approval", 'It can be approved by '.implode(', ', array_column(Role::offered(), 'approver')).'.');
            }
            foreach ([...$item->waitsFor, ...(null === $item->due || '' === $item->due->item ? [] : [$item->due->item])] as $written) {
                if (!isset($names[$written]) && !isset($names["{$list->key}/$written"])) {
                    throw new InvalidChecklist("items.$i.waitsFor", "“{$item->name}” names $written, which no checklist has.");
                }
            }
        }
    }

    private static function always(Checklist $list): Checklist
    {
        return new Checklist(
            $list->key,
            $list->name,
            array_map(static fn (ChecklistItem $item): ChecklistItem => new ChecklistItem($item->key, $item->name, $item->doer, $item->takes, null, $item->waitsFor), $list->items),
            $list->joinsAfter,
        );
    }
}

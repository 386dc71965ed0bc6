<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\Crew;
use Telamon\Core\Checklists\DoerKind;
use Telamon\Core\People\StaffMember;
use Telamon\Staff\Staff;

/** Who may do the tasks of checklists: told by the tasks that there are, so that one that is taken back gives its turn back. */
final readonly class CrewOfBusiness
{
    public function __construct(private EntityManagerInterface $em, private Profile $business, private TaskCounts $counts)
    {
    }

    /** @param list<Checklist> $lists whose items are given out: who had what last is looked up only where one of them goes by turns or load */
    public function under(Staff $lead, array $lists): Crew
    {
        $isAsked = self::isAsked($lists);

        return new Crew(
            $this->business->coordinator(),
            new StaffMember($lead->id, $lead->name, $lead->email),
            $this->here(),
            $isAsked ? $this->newest() : [],
            $isAsked ? $this->counts->openByStaff() : [],
        );
    }

    /** @return array<string, StaffMember> by id */
    public function here(): array
    {
        $here = [];
        foreach ($this->em->getRepository(Staff::class)->findBy(['active' => true]) as $one) {
            $here[$one->id] = new StaffMember($one->id, $one->name, $one->email);
        }

        return $here;
    }

    /** @return array<string, array<string, string>> id of the newest task, which sorts by time, by full key of the item and id of staff */
    public function newest(): array
    {
        /** @var list<array{item: string, staff: string, newest: string}> $rows */
        $rows = $this->em->createQueryBuilder()->select('t.item AS item', 'IDENTITY(t.assignee) AS staff', 'MAX(t.id) AS newest')->from(Task::class, 't')
            ->where("t.item <> ''")->groupBy('t.item')->addGroupBy('t.assignee')->getQuery()->getResult();
        $newest = [];
        foreach ($rows as $row) {
            $newest[$row['item']][$row['staff']] = $row['newest'];
        }

        return $newest;
    }

    /**
     * @param list<Checklist> $lists
     *
     * @return bool whether any item goes by turns or to whoever has fewest
     */
    public static function isAsked(array $lists): bool
    {
        foreach ($lists as $list) {
            foreach ($list->items as $item) {
                if (\in_array($item->doer->kind, [DoerKind::Turns, DoerKind::Fewest], true)) {
                    return true;
                }
            }
        }

        return false;
    }
}

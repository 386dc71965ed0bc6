<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Telamon\Access\Viewer;
use Telamon\Business\Profile;
use Telamon\Record\RecordRef;
use Telamon\Record\Records;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** Shows the notice board as the contract has it. */
final readonly class NoticeView
{
    public function __construct(private EntityManagerInterface $em, private Connection $db, private Records $records, private Profile $business, private Viewer $viewer)
    {
    }

    /** @return array<string, mixed> as NoticeRoom */
    public function room(NoticeRoom $room, Staff $staff): array
    {
        $names = $this->staffNames();
        $unseen = $this->db->fetchOne(
            'SELECT COUNT(*) FROM notice n WHERE n.room_id = ? AND NOT EXISTS (SELECT 1 FROM notice_seen s WHERE s.notice_id = n.id AND s.staff_id = ? AND s.seen_at IS NOT NULL)',
            [$room->id, $staff->id],
        );

        return [
            'id' => $room->id, 'key' => $room->key, 'name' => $room->name, 'about' => $room->about, 'closed' => $room->closed,
            'members' => array_values(array_map(
                static fn (string $id): array => ['id' => $id, 'name' => $names[$id] ?? ''],
                array_filter($room->members, static fn (string $id): bool => isset($names[$id])),
            )),
            'unseen' => (int) (is_numeric($unseen) ? $unseen : 0),
            'onCall' => array_values(array_filter($room->onCall, static fn (array $one): bool => isset($names[$one['staff']]))),
            'postTo' => $this->viewer->may(Permission::SetUp) ? $room->postTo : '',
        ];
    }

    /**
     * @param list<Notice> $notices
     *
     * @return list<array<string, mixed>> each as Notice
     */
    public function notices(array $notices, Staff $viewer): array
    {
        $seen = [];
        foreach ($this->db->fetchAllAssociative(
            'SELECT s.notice_id, s.staff_id, t.name FROM notice_seen s JOIN staff t ON t.id = s.staff_id WHERE s.seen_at IS NOT NULL AND s.notice_id IN (?) ORDER BY s.seen_at',
            [array_map(static fn (Notice $one): string => $one->id, $notices)],
            [ArrayParameterType::STRING],
        ) as $row) {
            if (\is_string($row['notice_id']) && \is_string($row['staff_id']) && \is_string($row['name'])) {
                $seen[$row['notice_id']][$row['staff_id']] = $row['name'];
            }
        }
        $everybody = \count($this->staffNames());

        return array_map(fn (Notice $one): array => [
            'id' => $one->id, 'room' => ['id' => $one->room->id, 'name' => $one->room->name], 'words' => $one->words, 'by' => $one->by,
            'at' => $one->at->setTimezone($this->business->zone())->format(\DATE_RFC3339),
            'seen' => isset($seen[$one->id][$viewer->id]), 'seenBy' => array_values($seen[$one->id] ?? []), 'of' => [] === $one->room->members
                ? $everybody
                : \count($one->room->members), 'holder' => $one->holder->name ?? '',
            'client' => RecordRef::maybe($one->client), 'project' => RecordRef::maybe($one->project), 'submission' => $this->records->find('submission', $one->submissionId),
        ], $notices);
    }

    /** @return array<string, string> names of those who work here, by id */
    public function staffNames(): array
    {
        $names = [];
        foreach ($this->em->getRepository(Staff::class)->findBy(['active' => true], ['name' => 'ASC']) as $one) {
            $names[$one->id] = $one->name;
        }

        return $names;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Business\Service;
use Telamon\Diary\BookingPage;
use Telamon\Diary\BusyCalendar;
use Telamon\Diary\CalendarFeed;
use Telamon\Diary\Resource;
use Telamon\Diary\Road;
use Telamon\Diary\VisitType;
use Telamon\Forms\Form;
use Telamon\Messages\MessageTemplate;
use Telamon\Staff\Staff;

/** How the diary is set up, as VisitTypes in the contract. */
final readonly class TypesView
{
    public function __construct(private EntityManagerInterface $em, private Connection $db, private Profile $business, private ClockInterface $clock)
    {
    }

    /** @return array<string, mixed> */
    public function show(): array
    {
        $zone = $this->business->zone();
        $since = $this->clock->now()->modify('-90 days')->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
        $forms = array_values(array_filter($this->em->getRepository(Form::class)->findBy([], ['title' => 'ASC']), static fn (Form $form): bool => null !== $form->published));

        return [
            'types' => array_map(fn (VisitType $type): array => [
                'id' => $type->id, 'version' => $type->version, 'slug' => $type->slug, 'name' => $type->name, 'live' => $type->live, 'settings' => $type->settings()
                    ->toArray(), 'booked' => $this
                    ->booked($type->id, $since), 'hangs' => $this
                    ->hangs($type),
            ], $this->em->getRepository(VisitType::class)->findBy([], ['position' => 'ASC', 'id' => 'ASC'])),
            'pages' => array_map(fn (BookingPage $page): array => [
                'id' => $page->id, 'version' => $page->version, 'slug' => $page->slug, 'title' => $page->title, 'intro' => $page->intro,
                'types' => $page->types, 'form' => $page->form, 'live' => $page->live, 'sites' => $page->sites,
                'starts' => $this->starts($page->slug, $since),
            ], $this->em->getRepository(BookingPage::class)->findBy([], ['title' => 'ASC'])),
            'roads' => array_map(
                static fn (Road $road): array => ['from' => $road->from, 'to' => $road->to, 'minutes' => $road->minutes],
                $this->em->getRepository(Road::class)->findBy([], ['from' => 'ASC', 'to' => 'ASC']),
            ),
            'littleDriving' => $this->business->business()->littleDriving,
            'smallGap' => $this->business->business()->smallGap,
            'offerHours' => $this->business->business()->offerHours,
            'unknownRoad' => $this->business->business()->unknownRoad,
            'resources' => array_map(
                static fn (Resource $one): array => ['id' => $one->id, 'name' => $one->name],
                $this->em->getRepository(Resource::class)->findBy(['gone' => false], ['name' => 'ASC']),
            ),
            'staff' => array_map(AppointmentView::person(...), $this->em->getRepository(Staff::class)->findBy(['active' => true], ['name' => 'ASC'])),
            'feeds' => array_map(
                static fn (CalendarFeed $feed): array => ['staff' => $feed->staff?->id, 'path' => "/api/public/calendars/{$feed->id}.ics"],
                $this->em->getRepository(CalendarFeed::class)->findAll(),
            ),
            'calendars' => array_map(
                fn (BusyCalendar $one): array => [
                    'id' => $one->id,
                    'staff' => $one->staff->id,
                    'address' => $one->address,
                    'readAt' => $one->readAt?->setTimezone($zone)->format(\DATE_RFC3339),
                    'trouble' => $one->trouble,
                    'busy' => $this->count('SELECT COUNT(*) FROM busy_time WHERE calendar_id = ?', [$one->id]),
                ],
                $this->em->getRepository(BusyCalendar::class)->findAll(),
            ),
            'forms' => array_map(static fn (Form $form): array => ['slug' => $form->slug, 'title' => $form->title], $forms),
            'services' => array_map(
                static fn (Service $service): array => ['key' => $service->key, 'name' => $service->name],
                $this->em->getRepository(Service::class)->findBy(['retired' => false], ['name' => 'ASC']),
            ),
            'templates' => array_map(
                static fn (MessageTemplate $one): array => ['key' => $one->key, 'name' => $one->name],
                array_values(array_filter(
                    $this->em->getRepository(MessageTemplate::class)->findBy([], ['name' => 'ASC']),
                    static fn (MessageTemplate $one): bool => \in_array('visit', $one->fields(), true) && !\in_array($one->key, ['wish', 'choose-time', 'series'], true),
                )),
            ),
        ];
    }

    /** @return array{ahead: int, waiting: int, rules: list<string>} what a change of it touches: visits that are to come, who waits for a place, rules that name it */
    private function hangs(VisitType $type): array
    {
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
        $rules = $this->db->fetchFirstColumn(
            "SELECT name FROM handling_rule WHERE enabled AND json_extract(definition, '$.then') LIKE ? ORDER BY position",
            ['%"visit":"'.addcslashes($type->slug, '%_').'"%'],
        );

        return [
            'ahead' => $this->count("SELECT COUNT(*) FROM appointment WHERE type_id = ? AND starts_at > ? AND state IN ('booked', 'offered')", [$type->id, $now]),
            'waiting' => $this->count('SELECT COUNT(*) FROM waiting_place WHERE type_id = ? AND starts_at > ? AND appointment_id IS NULL', [$type->id, $now]),
            'rules' => array_values(array_filter($rules, \is_string(...))),
        ];
    }

    /** @return array{booked: int, held: int, missed: int} */
    private function booked(string $type, string $since): array
    {
        $count = fn (string $state): int => $this->count("SELECT COUNT(*) FROM appointment WHERE type_id = ? AND placed_at >= ? AND state $state", [$type, $since]);

        return ['booked' => $count("<> 'cancelled'"), 'held' => $count("= 'held'"), 'missed' => $count("= 'missed'")];
    }

    /** @return array{begun: int, times: int, held: int, waits: int, booked: int} how many came so far, and no further */
    private function starts(string $page, string $since): array
    {
        $count = fn (string $step): int => $this->count("SELECT COUNT(*) FROM booking_start WHERE page = ? AND begun_at >= ? $step", [$page, $since]);

        return [
            'begun' => $count(''),
            'times' => $count("AND step = 'times'"),
            'held' => $count("AND step = 'held'"),
            'waits' => $count("AND step IN ('waits', 'offered')"),
            'booked' => $count("AND step = 'booked'"),
        ];
    }

    /** @param list<string> $values */
    private function count(string $sql, array $values): int
    {
        $count = $this->db->fetchOne($sql, $values);

        return is_numeric($count) ? (int) $count : 0;
    }
}

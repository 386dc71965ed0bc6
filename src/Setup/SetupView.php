<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Absence;
use Telamon\Business\Business;
use Telamon\Business\ChecklistTemplate;
use Telamon\Business\Closure;
use Telamon\Business\OwnField;
use Telamon\Business\OwnFields;
use Telamon\Business\Profile;
use Telamon\Business\Service;
use Telamon\Business\Stage;
use Telamon\Core\Time\HoursInWords;
use Telamon\Projects\StageGate;
use Telamon\Staff\Role;
use Telamon\Staff\Staff;

/** Everything that is set, with what hangs on it, as Setup in the contract. */
final readonly class SetupView
{
    public function __construct(
        private EntityManagerInterface $em,
        private Connection $db,
        private Profile $business,
        private OwnFields $fields,
        private StaffChanges $staff,
        private TagChanges $tags,
        private StageGate $gate,
        private ClockInterface $clock,
    ) {
    }

    /** @return array<string, mixed> */
    public function show(Staff $viewer): array
    {
        $business = $this->business->business();
        $counts = $this->counts();

        return [
            'business' => $this->business($business, array_sum($counts)),
            'hours' => self::days($business->hours),
            'hoursText' => $business->hoursText,
            'closures' => $this->closures(),
            'roles' => Role::offered(),
            'staff' => array_map(fn (Staff $one): array => $this->staff($one, $viewer), $this->em->getRepository(Staff::class)->findBy([], ['active' => 'DESC', 'name' => 'ASC'])),
            'services' => array_map(self::service(...), $this->em->getRepository(Service::class)->findBy([], ['retired' => 'ASC', 'name' => 'ASC'])),
            'checklists' => array_map(
                static fn (ChecklistTemplate $list): array => ['value' => $list->id, 'label' => $list->name],
                $this->em->getRepository(ChecklistTemplate::class)->findBy(['isBase' => false, 'retired' => false], ['name' => 'ASC']),
            ),
            'stages' => array_map(
                static fn (Stage $stage): array => [
                    'id' => $stage->id,
                    'name' => $stage->name,
                    'position' => $stage->position,
                    'ends' => $stage->ends->value,
                    'days' => $stage->days,
                    'needs' => $stage->needs,
                    'projects' => $counts[$stage->name] ?? 0,
                ],
                $this->em->getRepository(Stage::class)->findBy([], ['position' => 'ASC', 'id' => 'ASC']),
            ),
            'stageNeeds' => array_map(static fn (string $key, string $words): array => ['value' => $key, 'label' => $words], array_keys($this->gate->all()), $this->gate->all()),
            'sources' => $business->sources,
            'lostReasons' => $business->lostReasons,
            'asideReasons' => $business->asideReasons,
            'tags' => $this->tags->all(),
            'shortensAddresses' => $business->shortensAddresses,
            'unfinishedMinutes' => $business->unfinishedMinutes,
            'sameFrom' => $business->sameFrom,
            'perhapsFrom' => $business->perhapsFrom,
            'againDays' => $business->againDays,
            'customFields' => array_map(static fn (OwnField $field): array => $field->toArray(), $this->fields->all()),
        ];
    }

    /** @return array<string, mixed> as BusinessFacts in the contract */
    private function business(Business $business, int $projects): array
    {
        return [
            'name' => $business->name, 'email' => $business->email, 'phone' => '' === $business->phone
                ? ''
                : $this->business->phoneReader()->format($business->phone), 'address' => $business->address,
            'region' => $business->region, 'timeZone' => $business->timeZone, 'currency' => $business->currency, 'assetWord' => $business->assetWord,
            'vatNumber' => $business->vatNumber, 'accent' => $business->accent, 'signature' => $business->signature,
            'replyThreshold' => $business->replyThreshold, 'mailServer' => $business->mailServer, 'quietFrom' => $business->quietFrom,
            'quietUntil' => $business->quietUntil, 'quietDays' => $business->quietDays->value, 'mailsAnHour' => $business->mailsAnHour,
            'logo' => $business->logoId, 'projects' => $projects,
        ];
    }

    /** @return list<array{id: string, day: string, name: string}> */
    private function closures(): array
    {
        /** @var list<Closure> $closures */
        $closures = $this->em->createQueryBuilder()
            ->select('c')
            ->from(Closure::class, 'c')
            ->where('c.day >= :since')
            ->setParameter('since', $this->clock->now()->modify('-1 month')->format('Y-m-d'))
            ->orderBy('c.day', 'ASC')
            ->getQuery()
            ->getResult();

        return array_map(static fn (Closure $closure): array => ['id' => $closure->id, 'day' => $closure->day->format('Y-m-d'), 'name' => $closure->name], $closures);
    }

    /** @return array<string, mixed> as SetupStaff in the contract */
    private function staff(Staff $one, Staff $viewer): array
    {
        return [
            'id' => $one->id, 'name' => $one->name, 'email' => $one->email, 'initials' => $one->initials, 'role' => $one->role->value,
            'roleName' => $one->role->entry()->name, 'active' => $one->active, 'you' => $one->id === $viewer->id,
            'holds' => $this->staff->holds($one),
            'hours' => [] === $one->hours ? [] : self::days($one->hours),
            'zone' => $one->zone,
            'hoursText' => [] === $one->hours ? '' : HoursInWords::of($one->hours),
            'absences' => array_map(
                static fn (Absence $absence): array => [
                    'id' => $absence->id,
                    'first' => $absence->first->format('Y-m-d'),
                    'last' => $absence->last->format('Y-m-d'),
                    'note' => $absence->note,
                ],
                $this->absences($one),
            ),
        ];
    }

    /**
     * @param array<int, list<array{string, string}>> $hours
     *
     * @return list<array{day: int, spans: list<array{from: string, to: string}>}> as OpenDays in the contract
     */
    private static function days(array $hours): array
    {
        return array_map(
            static fn (int $day): array => ['day' => $day, 'spans' => array_map(static fn (array $span): array => ['from' => $span[0], 'to' => $span[1]], $hours[$day] ?? [])],
            range(1, 7),
        );
    }

    /** @return list<Absence> that are not over for long */
    private function absences(Staff $one): array
    {
        /** @var list<Absence> $absences */
        $absences = $this->em->createQueryBuilder()
            ->select('a')
            ->from(Absence::class, 'a')
            ->where('a.staff = :staff AND a.last >= :since')
            ->setParameter('staff', $one)
            ->setParameter('since', $this->clock->now()->modify('-1 month')->format('Y-m-d'))
            ->orderBy('a.first', 'ASC')
            ->getQuery()
            ->getResult();

        return $absences;
    }

    /** @return array<string, mixed> as SetupService in the contract */
    private static function service(Service $service): array
    {
        return [
            'words' => $service->words,
            'led' => $service->led->value,
            'among' => $service->among,
            'promise' => null === $service->promiseMinutes ? null : intdiv($service->promiseMinutes, 60),
        ] + [
            'id' => $service->id,
            'key' => $service->key,
            'name' => $service->name,
            'leadId' => $service->lead->id,
            'lead' => $service->lead->name,
            'checklistId' => $service->addOn?->id,
            'checklist' => $service->addOn?->name,
            'retired' => $service->retired,
            'careTask' => $service->careTask,
            'careMonths' => $service->careMonths,
            'careWeek' => $service->careWeek,
        ];
    }

    /** @return array<string, int> projects by the name of their stage */
    private function counts(): array
    {
        $counts = [];
        foreach ($this->db->fetchAllAssociative('SELECT stage, COUNT(*) AS n FROM project GROUP BY stage') as $row) {
            $counts[\is_string($row['stage']) ? $row['stage'] : ''] = (int) (is_numeric($row['n']) ? $row['n'] : 0);
        }

        return $counts;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Planning\OfferedService;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Time\OpeningHours;
use Telamon\Core\Time\WorkingDays;
use Telamon\Core\Time\WorkingTime;
use Telamon\Database\Remembers;
use Telamon\Staff\Staff;

/** What the other areas and the core need to know of the business. Read once a request. */
final class Profile implements Remembers
{
    private ?Business $business = null;

    /** @var list<string>|null */
    private ?array $closures = null;

    public function __construct(private readonly EntityManagerInterface $em)
    {
    }

    public function business(): Business
    {
        return $this->business ??= $this->em->getRepository(Business::class)->findOneBy([])
            ?? throw new \LogicException('There is no business yet. Run bin/console telamon:set-up or telamon:demo:load.');
    }

    public function zone(): \DateTimeZone
    {
        return new \DateTimeZone($this->business()->timeZone);
    }

    public function hours(): OpeningHours
    {
        return new OpeningHours($this->business()->hours, $this->closures(), $this->zone());
    }

    public function workingTime(): WorkingTime
    {
        return new WorkingTime($this->hours());
    }

    public function workingDays(): WorkingDays
    {
        return new WorkingDays($this->hours()->weekdays(), $this->closures());
    }

    public function phoneReader(): PhoneReader
    {
        return new PhoneReader(fn (): string => $this->business()->region);
    }

    public function coordinator(): StaffMember
    {
        return self::member($this->business()->coordinator);
    }

    public function baseChecklist(): Checklist
    {
        $base = $this->em->getRepository(ChecklistTemplate::class)->findOneBy(['isBase' => true, 'retired' => false]);

        return $base?->toChecklist() ?? new Checklist('onboarding', 'Onboarding', []);
    }

    /** @return array<string, OfferedService> by key */
    public function services(): array
    {
        $services = [];
        // With whoever leads and the checklist that joins, in one query.
        /** @var list<Service> $found */
        $found = $this->em->createQueryBuilder()
            ->select('s', 'l', 'c')
            ->from(Service::class, 's')
            ->join('s.lead', 'l')
            ->leftJoin('s.addOn', 'c')
            ->where('s.retired = false')
            ->orderBy('s.key')
            ->getQuery()
            ->getResult();
        foreach ($found as $service) {
            $among = Led::Named === $service->led
                ? []
                : array_values(array_filter(
                    array_map(fn (string $id): ?Staff => $this->em->find(Staff::class, $id), $service->among),
                    static fn (?Staff $one): bool => null !== $one && $one->active,
                ));
            $services[$service->key] = new OfferedService(
                $service->key,
                $service->name,
                self::member($service->lead),
                $service->rule,
                $service->addOn?->toChecklist(),
                array_map(self::member(...), $among),
                Led::Fewest === $service->led,
            );
        }

        return $services;
    }

    /** @return array<string, string> names of the services by key */
    public function serviceNames(): array
    {
        /** @var list<array{key: string, name: string}> $found */
        $found = $this->em->createQueryBuilder()->select('s.key', 's.name')->from(Service::class, 's')->where('s.retired = false')->orderBy('s.key')->getQuery()->getArrayResult();

        return array_column($found, 'name', 'key');
    }

    /** What clients are told of a service, by its key; empty where nothing is. */
    public function serviceWords(string $key): string
    {
        return '' === $key ? '' : $this->em->getRepository(Service::class)->findOneBy(['key' => $key])->words ?? '';
    }

    /** @return list<string> names in order */
    public function stages(): array
    {
        return array_map(static fn (Stage $stage): string => $stage->name, $this->em->getRepository(Stage::class)->findBy([], ['position' => 'ASC']));
    }

    /** What a project in such a stage is; open where there is none. */
    public function stageEnd(string $name): StageEnd
    {
        return $this->em->getRepository(Stage::class)->findOneBy(['name' => $name])->ends ?? StageEnd::Open;
    }

    /** @return list<string> keys of what a project needs before it comes there */
    public function stageNeeds(string $name): array
    {
        return $this->em->getRepository(Stage::class)->findOneBy(['name' => $name])->needs ?? [];
    }

    /** The first stage that means this; null where none does. */
    public function firstStage(StageEnd $end): ?string
    {
        return $this->em->getRepository(Stage::class)->findOneBy(['ends' => $end], ['position' => 'ASC'])?->name;
    }

    public function reset(): void
    {
        $this->business = null;
        $this->closures = null;
    }

    /** @return list<string> ISO 8601 days */
    private function closures(): array
    {
        /** @var list<string> $days */
        $days = $this->closures ?? $this->em->getConnection()->fetchFirstColumn('SELECT day FROM closure');

        return $this->closures = $days;
    }

    private static function member(Staff $staff): StaffMember
    {
        return new StaffMember($staff->id, $staff->name, $staff->email);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\Crew;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Time\WorkingDays;

/** The business that a plan is made for. */
final readonly class Workplace
{
    /**
     * @param array<string, OfferedService> $services by key
     * @param array<string, string> $templates subject by key of the message templates
     * @param array<string, StaffMember> $staff whoever is here, by id
     * @param array<string, array<string, string>> $newest when somebody had a task last, by full key of the item and id
     * @param array<string, int> $open how many open tasks somebody has, by id
     */
    public function __construct(
        public array $services,
        public StaffMember $coordinator,
        public Checklist $baseChecklist,
        public WorkingDays $calendar,
        public array $templates,
        public Naming $naming,
        public ?PhoneReader $phones = null,
        public array $staff = [],
        private array $newest = [],
        private array $open = [],
    ) {
    }

    /** Those who may do tasks under this lead. */
    public function crew(StaffMember $lead): Crew
    {
        return new Crew($this->coordinator, $lead, $this->staff, $this->newest, $this->open);
    }

    /** @return array<string, string> names of the services by key */
    public function serviceNames(): array
    {
        return array_map(static fn (OfferedService $service): string => $service->name, $this->services);
    }

    /** @return array<string, StaffMember> whoever a plan may name beside those whom rules name, by id */
    public function people(): array
    {
        $people = [$this->coordinator->id => $this->coordinator];
        foreach ($this->services as $service) {
            $people[$service->lead->id] = $service->lead;
        }

        return $people + $this->staff;
    }
}

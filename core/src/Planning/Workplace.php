<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Checklists\Checklist;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Time\WorkingDays;

/** The business that a plan is made for. */
final readonly class Workplace
{
    /**
     * @param array<string, OfferedService> $services by key
     * @param array<string, string> $templates subject by key of the message templates
     */
    public function __construct(
        public array $services,
        public StaffMember $coordinator,
        public Checklist $baseChecklist,
        public WorkingDays $calendar,
        public array $templates,
        public Naming $naming,
        public ?PhoneReader $phones = null,
    ) {
    }

    /** @return array<string, StaffMember> whoever a plan may name beside those whom rules name, by id */
    public function people(): array
    {
        $people = [$this->coordinator->id => $this->coordinator];
        foreach ($this->services as $service) {
            $people[$service->lead->id] = $service->lead;
        }

        return $people;
    }
}

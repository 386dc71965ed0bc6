<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Checklists\Checklist;
use Telamon\Core\People\StaffMember;

/** A service that the business offers: who leads it, and the checklist it adds. */
final readonly class OfferedService
{
    /**
     * @param string $rule why this person leads, “Repairs go to Sorcha”
     * @param list<StaffMember> $among who take turns; none where one is named
     * @param bool $fewest whether whoever leads fewest goes first, rather than whose turn it is
     */
    public function __construct(
        public string $key,
        public string $name,
        public StaffMember $lead,
        public string $rule,
        public ?Checklist $addOn,
        public array $among = [],
        public bool $fewest = false,
    ) {
    }

    /** @param string $rule why it is led by them */
    public function ledBy(StaffMember $lead, string $rule): self
    {
        return new self($this->key, $this->name, $lead, $rule, $this->addOn, $this->among, $this->fewest);
    }
}

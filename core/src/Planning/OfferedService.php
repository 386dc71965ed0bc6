<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Checklists\Checklist;
use Telamon\Core\People\StaffMember;

/** A service that the business offers: who leads it, and the checklist it adds. */
final readonly class OfferedService
{
    /** @param string $rule why this person leads, “Repairs go to Sorcha” */
    public function __construct(public string $key, public string $name, public StaffMember $lead, public string $rule, public ?Checklist $addOn)
    {
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Role;

/** A task that only a certain role may finish. */
final class NeedsApproval extends Refusal
{
    public function __construct(Role $role)
    {
        parent::__construct("This needs the approval of {$role->entry()->approver}. Write them a comment with @ and their name.");
    }

    public function nature(): Nature
    {
        return Nature::NotAllowed;
    }

    public function title(): string
    {
        return 'Needs approval';
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Telamon\Staff\Staff;

/** What ties staff to projects: leading one does, and whatever areas add. */
#[AutoconfigureTag('telamon.involvement')]
interface Involvement
{
    /** @return list<string> ids of the projects that somebody has a part in */
    public function projects(Staff $staff): array;
}

<?php

declare(strict_types=1);

namespace Telamon\Staff;

/** How far somebody's own work reaches. */
interface Reach
{
    /** @return list<string> ids of the projects that they work on */
    public function projects(Staff $staff): array;

    /** @return list<string> ids of the clients whom those projects are for */
    public function clients(Staff $staff): array;
}

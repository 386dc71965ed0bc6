<?php

declare(strict_types=1);

namespace Telamon\Queue;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Work by the clock that asks hosts outside: it has a process of its own, so that a slow host keeps nothing else waiting, and a host that fails is left alone for a while. */
#[AutoconfigureTag('telamon.due_work')]
interface ReachesOut extends DueWork
{
    /** The host that one of them asks; empty where it asks none. */
    public function host(string $key): string;
}

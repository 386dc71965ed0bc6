<?php

declare(strict_types=1);

namespace Telamon\Database;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Contracts\Service\ResetInterface;

/** Keeps something that it read from records. It is made to forget with every job, and whenever the records in memory are let go of: what it keeps would belong to nobody. */
#[AutoconfigureTag('telamon.remembers')]
interface Remembers extends ResetInterface
{
}

<?php

declare(strict_types=1);

namespace Telamon\Queue;

/** Trying again will not mend it: somebody is told the first time. */
final class NeedsSomebody extends \RuntimeException
{
}

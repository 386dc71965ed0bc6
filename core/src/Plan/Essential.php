<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/** What cannot be left out of a plan: who is served, and what is done. */
interface Essential extends Effect
{
}

<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Telamon\Core\Text\Unanswerable;

/** Thrown where it is not said what is to be read, or by which day. */
final class UnreadableDay extends Unanswerable
{
}

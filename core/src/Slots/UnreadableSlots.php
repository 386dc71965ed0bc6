<?php

declare(strict_types=1);

namespace Telamon\Core\Slots;

use Telamon\Core\Text\Unanswerable;

/** What free times are asked for with cannot be; the message says what and where, in one line. */
final class UnreadableSlots extends Unanswerable
{
}

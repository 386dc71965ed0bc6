<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

use Telamon\Core\Text\Unanswerable;

/** Thrown where checklists cannot be merged as they were sent; the message says what is wrong and names the keys. */
final class UnreadableOutline extends Unanswerable
{
}

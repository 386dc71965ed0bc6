<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Telamon\Core\Text\Unanswerable;

/** Thrown where sums cannot be reckoned from what was sent; the message begins with where. */
final class UnreadableSums extends Unanswerable
{
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Text;

/** A text with merge fields that opens a part and does not close it, or the like. */
final class UnreadableTemplate extends \RuntimeException
{
}

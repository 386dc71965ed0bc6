<?php

declare(strict_types=1);

namespace Telamon\Core\Evidence;

/** Something that has no one spelling as JSON here. */
final class NotCanonical extends \InvalidArgumentException
{
}

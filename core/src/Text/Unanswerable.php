<?php

declare(strict_types=1);

namespace Telamon\Core\Text;

/** Thrown for a question in a file that cannot be answered; the message says why, in one line. */
abstract class Unanswerable extends \InvalidArgumentException
{
}

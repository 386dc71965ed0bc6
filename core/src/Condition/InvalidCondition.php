<?php

declare(strict_types=1);

namespace Telamon\Core\Condition;

/** A condition that cannot be read; the message says where and why. */
final class InvalidCondition extends \InvalidArgumentException
{
}

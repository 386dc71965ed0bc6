<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** A form definition that cannot be used; the message says where and why. */
final class InvalidDefinition extends \InvalidArgumentException
{
}

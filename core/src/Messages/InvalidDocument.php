<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/** A document that cannot be kept, with what is wrong in words. */
final class InvalidDocument extends \DomainException
{
}

<?php

declare(strict_types=1);

namespace Telamon\Running;

/** Why a backup could not be made or restored, in words. */
final class NotBackedUp extends \RuntimeException
{
}

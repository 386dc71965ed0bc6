<?php

declare(strict_types=1);

namespace Telamon\Effects;

/** A line of a plan needs what no line before it brought: the plan was put together wrongly. */
final class NothingToHangOn extends \LogicException
{
}

<?php

declare(strict_types=1);

namespace Telamon\Queue;

final class JobTookTooLong extends \RuntimeException
{
}

<?php

declare(strict_types=1);

namespace Telamon\Files;

/** The file is of no kind that is taken here. */
final class FileNotTaken extends \RuntimeException
{
}

<?php

declare(strict_types=1);

namespace Telamon\Importing;

/** Why a file of clients cannot be read, in words for whoever brought it. */
final class FileNotRead extends \RuntimeException
{
}

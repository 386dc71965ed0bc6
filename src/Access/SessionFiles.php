<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Component\HttpFoundation\Session\Storage\Handler\NativeFileSessionHandler;

/** Keeps sessions in the data folder. */
final class SessionFiles extends NativeFileSessionHandler
{
}

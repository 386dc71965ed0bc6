<?php

declare(strict_types=1);

namespace Telamon\Database;

/** The tables are up to date; told inside the transaction that brought them there. */
final readonly class DatabaseUpdated
{
}

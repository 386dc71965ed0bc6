<?php

declare(strict_types=1);

namespace Telamon\Files;

/** What brings files along: see resolve_target_entities in config/packages/doctrine.yaml. */
interface FileSource
{
}

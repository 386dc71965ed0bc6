<?php

declare(strict_types=1);

namespace Telamon\Queue;

/** A host outside did not answer as it should; whatever asks it waits with growing pauses. The record itself has said so where it is shown. */
final class HostDown extends \RuntimeException
{
}

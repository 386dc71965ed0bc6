<?php

declare(strict_types=1);

namespace Telamon\Business;

/** How the lead of a service is found. */
enum Led: string
{
    case Named = 'named';
    case Turns = 'turns';
    case Fewest = 'fewest';
}

<?php

declare(strict_types=1);

namespace Telamon\Record;

enum Action: string
{
    case Made = 'made';
    case Changed = 'changed';
    case Removed = 'removed';
}

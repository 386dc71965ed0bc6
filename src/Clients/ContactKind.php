<?php

declare(strict_types=1);

namespace Telamon\Clients;

enum ContactKind: string
{
    case Email = 'email';
    case Phone = 'phone';
}

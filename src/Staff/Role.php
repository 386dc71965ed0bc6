<?php

declare(strict_types=1);

namespace Telamon\Staff;

/** What a member of staff may do; an owner may do all that a coordinator may, and so on down. */
enum Role: string
{
    case Owner = 'owner';
    case Coordinator = 'coordinator';
    case Field = 'field';
}

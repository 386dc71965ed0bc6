<?php

declare(strict_types=1);

namespace Telamon\Messages;

/** By what a message goes. */
enum Channel: string
{
    case Mail = 'mail';
    case Text = 'text';
}

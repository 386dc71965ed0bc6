<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/** What the letter asked that somebody answers: only what was asked can be answered for sure. */
enum Asked: string
{
    /** A yes or a no. */
    case Decision = 'decision';
    case Other = 'other';
    case Nothing = 'nothing';
}

<?php

declare(strict_types=1);

namespace Telamon\Refusal;

/** In which way something is refused. */
enum Nature
{
    /** A value that was given cannot be. */
    case Invalid;
    case NotThere;
    /** It was there, and is closed now. */
    case Gone;
    case NotAllowed;
    /** What it rests on is otherwise by now. */
    case Conflict;
    /** It can be done later. */
    case Unavailable;
    /** It was tried too often. */
    case TooMany;
}

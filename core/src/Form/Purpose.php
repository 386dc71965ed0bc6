<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** What the submissions of a form do. */
enum Purpose: string
{
    /** Each opens a project. */
    case Open = 'open';
    /** Each is added to a project that is open; the plan asks which. */
    case Add = 'add';
    /** Each is only filed with the client. */
    case File = 'file';
}

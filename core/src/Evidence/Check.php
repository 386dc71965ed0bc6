<?php

declare(strict_types=1);

namespace Telamon\Core\Evidence;

/** What can be shown of a file that says that something was signed. */
enum Check: string
{
    /** All that was agreed, by whom, when and how, is as it was when it was closed. */
    case Document = 'document';
    /** The signature as it was drawn, or that none was. */
    case Drawing = 'drawing';
    /** The file, byte for byte. */
    case File = 'file';
    /** It was closed by the key of this installation. */
    case Key = 'key';
}

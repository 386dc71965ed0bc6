<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/** Who a mail is from: a person, or which kind of machine. */
enum MailOrigin: string
{
    case Person = 'person';
    /** A mail server reports what became of a mail. */
    case Bounce = 'bounce';
    /** Somebody is away, and their program says so. */
    case Away = 'away';
    /** Any other mail that nobody wrote just now. */
    case Machine = 'machine';
}

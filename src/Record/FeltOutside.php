<?php

declare(strict_types=1);

namespace Telamon\Record;

/** A column that the public feels when it changes: a form that is live, a page that can be booked on. Whoever undoes is asked first, with what it would do. */
#[\Attribute(\Attribute::TARGET_PROPERTY)]
final readonly class FeltOutside
{
}

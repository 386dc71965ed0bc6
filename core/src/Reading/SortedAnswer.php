<?php

declare(strict_types=1);

namespace Telamon\Core\Reading;

use Telamon\Core\Form\DayOrder;

/** An answer as it was written, as something that can be put in order. */
final class SortedAnswer
{
    /** What is no amount comes before all that are. */
    private const NONE = -1e300;

    public static function amount(mixed $text): float
    {
        $read = \is_scalar($text) ? (new AmountReader())->read((string) $text)->value ?? null : null;

        return null === $read ? self::NONE : (float) $read;
    }

    /** @return string ISO 8601; what is no day, or may be two, by its letters behind all days */
    public static function day(mixed $text, mixed $order): string
    {
        $text = \is_scalar($text) ? trim((string) $text) : '';
        $days = '' === $text ? [] : (new DayReader())->read($text, DayOrder::tryFrom(\is_string($order) ? $order : '') ?? DayOrder::Unstated);

        return 1 === \count($days) ? $days[0]->format('Y-m-d') : ('' === $text ? '' : "~$text");
    }
}

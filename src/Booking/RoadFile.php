<?php

declare(strict_types=1);

namespace Telamon\Booking;

/** Reads a table of roads from CSV (RFC 4180): from, to and minutes a line; commas or semicolons; a first line of names is passed over. */
final class RoadFile
{
    /** @return list<list<string>> */
    public static function rows(string $text): array
    {
        $text = trim((string) preg_replace('/^\xEF\xBB\xBF/', '', $text));
        $separator = substr_count($text, ';') > substr_count($text, ',') ? ';' : ',';
        $rows = [];
        foreach (explode("\n", str_replace("\r", '', $text)) as $line) {
            if ('' !== trim($line)) {
                $rows[] = array_map(static fn (?string $cell): string => trim((string) $cell), str_getcsv($line, $separator, '"', ''));
            }
        }
        if ([] !== $rows && !is_numeric($rows[0][2] ?? '')) {
            array_shift($rows);
        }

        return $rows;
    }
}

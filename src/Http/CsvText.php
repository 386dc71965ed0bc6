<?php

declare(strict_types=1);

namespace Telamon\Http;

/** Reads a CSV file (RFC 4180; parted by commas or by semicolons) whose first line names its columns. */
final class CsvText
{
    /**
     * @param list<string> $known heads, in small letters; columns with others are passed over
     * @param list<string> $needed
     *
     * @return list<array<string, string>>|null cells by head, only those that the file has; null where one that is needed is not there
     */
    public static function rows(string $csv, array $known, array $needed): ?array
    {
        $csv = str_starts_with($csv, "\u{FEFF}") ? substr($csv, 3) : $csv;
        $stream = fopen('php://memory', 'w+') ?: throw new \RuntimeException('there is no memory');
        fwrite($stream, $csv);
        rewind($stream);
        $first = (string) strtok($csv, "\n");
        $by = substr_count($first, ';') > substr_count($first, ',') ? ';' : ',';
        $heads = array_map(static fn (?string $head): string => strtolower(trim((string) $head)), fgetcsv($stream, null, $by, '"', '') ?: []);
        if ([] !== array_diff($needed, $heads)) {
            return null;
        }
        $columns = array_flip(array_intersect($heads, $known));
        $rows = [];
        while (false !== ($cells = fgetcsv($stream, null, $by, '"', ''))) {
            if ([null] !== $cells) {
                $rows[] = array_map(static fn (int $at): string => self::plain(trim($cells[$at] ?? '')), $columns);
            }
        }

        return $rows;
    }

    /** Without the mark by which CsvFile keeps a table program from taking it for a formula. */
    private static function plain(string $cell): string
    {
        return (string) preg_replace('/(^|[;\t\r\n][ "]*)\'([=+\-@])/', '$1$2', $cell);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Rows as a CSV file (RFC 4180) that table programs open as it is meant: UTF-8 by its mark, nothing of it a formula. */
final class CsvFile
{
    /** @param iterable<list<string>> $rows the heads first; taken while the file is on its way */
    public static function download(string $name, iterable $rows): Response
    {
        return new StreamedResponse(static function () use ($rows): void {
            $out = fopen('php://output', 'w') ?: throw new \RuntimeException('nothing can be written');
            // The mark by which table programs know UTF-8.
            fwrite($out, "\u{FEFF}");
            foreach ($rows as $row) {
                fputcsv($out, array_map(self::inert(...), $row), ',', '"', '', "\r\n");
            }
        }, 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => HeaderUtils::makeDisposition('attachment', $name), 'Cache-Control' => 'no-store']);
    }

    /**
     * Without what a table program would take for a formula: at the beginning, and behind what one that parts cells by
     * semicolons, or lines anywhere, would take for a beginning. A telephone number is none.
     */
    private static function inert(string $text): string
    {
        return 1 === preg_match('/^\+[\d ()]+$/D', $text) ? $text : (string) preg_replace('/(^[\t\r]?|[;\t\r\n][ "]*)([=+\-@])/', "$1'$2", $text);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Evidence;

/**
 * A PDF file that carries the record of what was signed (an embedded file, ISO 32000-1, 7.11.4) and ends with a line that
 * closes every byte before it: a comment (7.2.4) after the end mark, which readers pass over.
 */
final class SealedPdf
{
    private const LINE = '%Telamon-Seal';
    private const PURPOSE = 'telamon pdf ';

    /** @param string $pdf with its record embedded */
    public static function close(string $pdf, SigningKey $key): string
    {
        $pdf = rtrim($pdf, "\n")."\n";
        $sum = hash('sha256', $pdf);

        return $pdf.\sprintf("%s %s %s %s %s\n", self::LINE, SigningKey::ALGORITHM, $key->public, $sum, $key->sign(self::PURPOSE.$sum));
    }

    /** @return Verdict|null null where the bytes are no such file, nor what is left of one */
    public static function check(string $bytes, SigningKey $own): ?Verdict
    {
        $record = self::record($bytes);
        $inside = null === $record ? null : EvidenceRecord::check($record, $own);
        $isClosed = 1 === preg_match(
            '/^'.self::LINE.' '.SigningKey::ALGORITHM.' (?<key>[0-9a-f]{64}) (?<sum>[0-9a-f]{64}) (?<value>[0-9a-f]{128})\n\z/m',
            substr($bytes, -400),
            $line,
        );
        if (!$isClosed && null === $inside) {
            return str_contains($bytes, self::LINE) ? Verdict::of([], null) : null;
        }
        $isSigned = $isClosed && SigningKey::holds(self::PURPOSE.$line['sum'], $line['value'], $line['key']);
        $before = $isClosed ? substr($bytes, 0, -\strlen($line[0])) : '';
        $holds = array_values(array_filter($inside->holds ?? [], static fn (Check $one): bool => Check::File !== $one && Check::Key !== $one));
        // The pages and what they carry are of one piece only where both were closed by the same key.
        if ($isSigned && ($inside?->holds(Check::File) ?? false) && hash('sha256', $before) === $line['sum']) {
            $holds[] = Check::File;
        }
        // Both say whose they are; where one is gone, the other does.
        if (($inside?->holds(Check::Key) ?? true) && (!$isClosed || ($isSigned && $line['key'] === $own->public))) {
            $holds[] = Check::Key;
        }

        return Verdict::of($holds, $inside?->document, $isSigned ? $line['sum'] : '');
    }

    /** @return string SHA-256 of what the last line closes, as it is now; empty where there is no such line */
    public static function sum(string $bytes): string
    {
        $at = strrpos($bytes, self::LINE);

        return false === $at ? '' : hash('sha256', substr($bytes, 0, $at));
    }

    /** @return string|null the bytes of the record that a file carries */
    public static function record(string $bytes): ?string
    {
        if (1 !== preg_match('~/Type ?/EmbeddedFile\b[^>]{0,200}/Length (\d{1,8}) >> stream\r?\n~', $bytes, $found, \PREG_OFFSET_CAPTURE)) {
            return null;
        }
        $packed = substr($bytes, $found[0][1] + \strlen($found[0][0]), (int) $found[1][0]);
        $record = @gzuncompress($packed, EvidenceRecord::MOST);

        return false === $record ? null : $record;
    }
}

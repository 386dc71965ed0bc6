<?php

declare(strict_types=1);

namespace Telamon\Tables;

/**
 * Writes rows of texts as a workbook of one sheet (ECMA-376, SpreadsheetML). Every cell is an inline string, so
 * that none is taken for a formula. No maintained package for this installs beside PHP 8.2 here; the parts come
 * from ext-xmlwriter and ext-zip.
 */
final class Workbook
{
    /** What a cell of a workbook can hold. */
    private const MOST_LETTERS = 32_767;

    private const PARTS = [
        '[Content_Types].xml' => '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/></Types>',
        '_rels/.rels' => '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="xl/workbook.xml"/></Relationships>',
        'xl/workbook.xml' => '<workbook xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="Submissions" sheetId="1" r:id="rId1"/></sheets></workbook>',
        'xl/_rels/workbook.xml.rels' => '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/></Relationships>',
    ];

    /**
     * @param iterable<list<string>> $rows
     *
     * @return string the path of a temporary file, for the caller to remove
     */
    public static function write(iterable $rows): string
    {
        $sheet = self::temporary();
        $xml = new \XMLWriter();
        $xml->openUri($sheet);
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElement('worksheet');
        $xml->writeAttribute('xmlns', 'http://schemas.openxmlformats.org/spreadsheetml/2006/main');
        $xml->startElement('sheetData');
        foreach ($rows as $i => $row) {
            $xml->startElement('row');
            foreach ($row as $cell) {
                $xml->startElement('c');
                $xml->writeAttribute('t', 'inlineStr');
                $xml->startElement('is');
                $xml->startElement('t');
                $xml->writeAttribute('xml:space', 'preserve');
                $xml->text(self::allowed($cell));
                $xml->endElement();
                $xml->endElement();
                $xml->endElement();
            }
            $xml->endElement();
            if (\is_int($i) && 0 === $i % 500) {
                $xml->flush();
            }
        }
        $xml->endDocument();
        $xml->flush();
        unset($xml);
        $file = self::temporary();
        $zip = new \ZipArchive();
        $zip->open($file, \ZipArchive::OVERWRITE);
        foreach (self::PARTS as $name => $part) {
            $zip->addFromString($name, '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>'.$part);
        }
        $zip->addFile($sheet, 'xl/worksheets/sheet1.xml');
        $zip->close();
        unlink($sheet);

        return $file;
    }

    /** Without what XML 1.0 cannot hold. */
    private static function allowed(string $text): string
    {
        return mb_substr((string) preg_replace('/[^\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u', '', mb_scrub($text)), 0, self::MOST_LETTERS);
    }

    private static function temporary(): string
    {
        $path = tempnam(sys_get_temp_dir(), 'telamon');

        return false === $path ? throw new \RuntimeException('no temporary file can be made') : $path;
    }
}

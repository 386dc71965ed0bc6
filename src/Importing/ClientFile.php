<?php

declare(strict_types=1);

namespace Telamon\Importing;

use Sabre\VObject\Component\VCard;
use Sabre\VObject\ParseException;
use Sabre\VObject\Splitter\VCard as Splitter;
use Telamon\Core\Importing\ClientField;

/** A file of clients, CSV (RFC 4180; comma, semicolon or tab) or vCard (RFC 6350), as heads and rows. */
final readonly class ClientFile
{
    private const MOST_BYTES = 52_428_800;
    private const SAMPLE = 20;
    private const MOST_COLUMNS = 500;

    private function __construct(private string $path, private bool $isVCard, private string $separator)
    {
    }

    /** @throws FileNotRead in words */
    public static function open(string $path): self
    {
        if (!is_file($path) || !is_readable($path)) {
            throw new FileNotRead('The file cannot be read.');
        }
        if (filesize($path) > self::MOST_BYTES) {
            throw new FileNotRead('A file may have at most 50 MB. Take it apart.');
        }
        $head = (string) file_get_contents($path, false, null, 0, 65536);
        if ('' === trim($head)) {
            throw new FileNotRead('The file is empty.');
        }
        if (!mb_check_encoding((string) preg_replace('/[\xC0-\xFF][\x80-\xBF]{0,3}$/', '', $head), 'UTF-8')) {
            throw new FileNotRead('The file is not in UTF-8. Save it again as UTF-8.');
        }
        $line = strtok($head, "\r\n") ?: '';
        if (max(substr_count($line, ','), substr_count($line, ';'), substr_count($line, "\t")) >= self::MOST_COLUMNS) {
            throw new FileNotRead('A file may have at most '.self::MOST_COLUMNS.' columns.');
        }
        $counts = ['|' => 0];
        foreach ([',', ';', "\t"] as $separator) {
            $counts[$separator] = substr_count($line, $separator);
        }
        arsort($counts);

        return new self($path, 1 === preg_match('/^(?:\xEF\xBB\xBF)?\s*BEGIN:VCARD/i', $head), array_key_first($counts));
    }

    /** @return list<string> */
    public function heads(): array
    {
        if ($this->isVCard) {
            return array_map(static fn (ClientField $field): string => $field->value, self::vCardFields());
        }
        foreach ($this->lines() as $cells) {
            return $cells;
        }

        return [];
    }

    /**
     * @return iterable<int, list<string>> by line of the file
     *
     * @throws FileNotRead
     */
    public function rows(): iterable
    {
        if ($this->isVCard) {
            yield from $this->cards();

            return;
        }
        $isHead = true;
        foreach ($this->lines() as $line => $cells) {
            if (!$isHead) {
                yield $line => $cells;
            }
            $isHead = false;
        }
    }

    /** @return list<list<string>> the first few rows */
    public function sample(): array
    {
        $rows = [];
        foreach ($this->rows() as $cells) {
            $rows[] = $cells;
            if (self::SAMPLE === \count($rows)) {
                break;
            }
        }

        return $rows;
    }

    /** @return iterable<int, list<string>> */
    private function lines(): iterable
    {
        $handle = fopen($this->path, 'r') ?: throw new FileNotRead('The file cannot be read.');
        try {
            if ("\xEF\xBB\xBF" !== fread($handle, 3)) {
                rewind($handle);
            }
            for ($line = 1; false !== ($cells = fgetcsv($handle, null, $this->separator, '"', '')); ++$line) {
                yield $line => array_map(static fn (mixed $cell): string => mb_scrub(\is_string($cell) ? $cell : ''), $cells);
            }
        } finally {
            fclose($handle);
        }
    }

    /** @return iterable<int, list<string>> */
    private function cards(): iterable
    {
        $handle = fopen($this->path, 'r') ?: throw new FileNotRead('The file cannot be read.');
        try {
            $splitter = new Splitter($handle);
            for ($number = 1; null !== ($card = $splitter->getNext()); ++$number) {
                if ($card instanceof VCard) {
                    yield $number => self::cells($card);
                }
            }
        } catch (ParseException $error) {
            throw new FileNotRead('The vCards cannot be read: '.$error->getMessage());
        }
    }

    /** @return list<ClientField> */
    private static function vCardFields(): array
    {
        return [
            ClientField::ExternalId,
            ClientField::GivenName,
            ClientField::FamilyName,
            ClientField::FullName,
            ClientField::Organisation,
            ClientField::Email,
            ClientField::Email,
            ClientField::Phone,
            ClientField::Phone,
            ClientField::AddressLine,
            ClientField::Locality,
            ClientField::PostalCode,
            ClientField::Country,
            ClientField::Notes,
        ];
    }

    /** @return list<string> in the order of vCardFields() */
    private static function cells(VCard $card): array
    {
        $parts = static fn (string $name): array => array_map(
            static fn (mixed $part): string => \is_string($part) ? $part : '',
            [] === $card->select($name) ? [] : $card->__get($name)->getParts(),
        );
        $all = static fn (string $name): array => array_map(
            static fn (object $one): string => trim((string) preg_replace('/^(tel|mailto):/i', '', method_exists($one, '__toString') ? (string) $one : '')),
            array_values($card->select($name)),
        );
        [$names, $address] = [$parts('N'), $parts('ADR')];
        [$emails, $phones] = [$all('EMAIL'), $all('TEL')];

        return [
            $all('UID')[0] ?? '', $names[1] ?? '', $names[0] ?? '', $all('FN')[0] ?? '', $parts('ORG')[0] ?? '', $emails[0] ?? '', $emails[1] ?? '',
            $phones[0] ?? '', $phones[1] ?? '',
            trim(($address[1] ?? '').' '.($address[2] ?? '')), $address[3] ?? '', $address[5] ?? '', $address[6] ?? '', $all('NOTE')[0] ?? '',
        ];
    }
}

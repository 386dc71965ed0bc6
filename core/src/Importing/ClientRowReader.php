<?php

declare(strict_types=1);

namespace Telamon\Core\Importing;

use Telamon\Core\Reading\EmailReader;
use Telamon\Core\Reading\NameReader;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Reading\PostalAddress;

/** Reads one row of a file of clients. */
final readonly class ClientRowReader
{
    private const LONGEST = 200;

    public function __construct(private NameReader $names, private EmailReader $emails, private PhoneReader $phones)
    {
    }

    /**
     * @param array<int, ClientField> $fields by column
     * @param list<string> $cells
     */
    public function read(int $line, array $fields, array $cells): ImportedClient
    {
        $values = [];
        foreach ($fields as $column => $field) {
            $value = trim((string) preg_replace('/[\s\p{Cc}]+/u', ' ', $cells[$column] ?? ''));
            if ('' !== $value) {
                $values[$field->value][] = $value;
            }
        }
        $first = static fn (ClientField $field): string => $values[$field->value][0] ?? '';
        [$given, $family] = $this->name($first(ClientField::GivenName), $first(ClientField::FamilyName), $first(ClientField::FullName));
        $left = [];
        $emails = self::each($values[ClientField::Email->value] ?? [], $this->emails->read(...), 'email', $left);
        $phones = self::each($values[ClientField::Phone->value] ?? [], $this->phones->read(...), 'phone', $left);
        $address = '' !== $first(ClientField::Address)
            ? $first(ClientField::Address)
            : (new PostalAddress($first(ClientField::AddressLine), $first(ClientField::Locality), $first(ClientField::PostalCode), $first(ClientField::Country)))->oneLine();
        // A country alone is no address.
        $address = $address === $first(ClientField::Country) ? '' : $address;
        $organisation = $first(ClientField::Organisation);
        $faults = [];
        if ('' === $given.$family.$organisation) {
            $faults[] = [] === $values ? 'the line is empty' : 'no name and no organisation';
        }
        foreach (['given name' => $given, 'family name' => $family, 'organisation' => $organisation] as $what => $value) {
            if (mb_strlen($value) > self::LONGEST) {
                $faults[] = "the $what has more than ".self::LONGEST.' letters';
            }
        }
        if (mb_strlen($address) > 300) {
            $faults[] = 'the address has more than 300 letters';
        }
        if (mb_strlen($first(ClientField::ExternalId)) > 100) {
            $faults[] = 'the id has more than 100 letters';
        }

        return new ImportedClient($line, $first(ClientField::ExternalId), $given, $family, $organisation, $emails, $phones, $address, $first(ClientField::Notes), $faults, $left);
    }

    /** @return array{string, string} */
    private function name(string $given, string $family, string $full): array
    {
        if ('' === $given.$family && '' !== $full) {
            $name = $this->names->read($full);

            return [$name->given, $name->family];
        }

        return [$given, $family];
    }

    /**
     * @param list<string> $texts
     * @param \Closure(string): ?string $read
     * @param list<string> $left
     *
     * @return list<string>
     */
    private static function each(array $texts, \Closure $read, string $what, array &$left): array
    {
        $values = [];
        foreach ($texts as $text) {
            $value = $read($text);
            if (null === $value) {
                $left[] = "$what $text";
            } else {
                $values[] = $value;
            }
        }

        return array_values(array_unique($values));
    }
}

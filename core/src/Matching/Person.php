<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

use Telamon\Core\Text\Fold;

/** Who somebody is, folded for comparing. */
final readonly class Person
{
    /** @var list<string> */
    public array $given;
    /** @var list<string> */
    public array $family;
    public string $organisation;
    /** @var list<string> */
    public array $emails;
    /** @var list<string> */
    public array $phones;
    public string $houseNumber;
    public string $street;
    /** House and street in one word. */
    public string $line;
    public string $locality;
    public string $postalCode;

    private const FORMS_OF_ADDRESS = ['mr', 'mrs', 'ms', 'miss', 'dr', 'prof', 'rev', 'fr', 'sr'];
    /** Words that say what kind of street it is; they are left off, and spelled in many ways (common practice). */
    private const STREET_KINDS = [
        'street',
        'st',
        'str',
        'road',
        'rd',
        'avenue',
        'ave',
        'av',
        'lane',
        'ln',
        'drive',
        'dr',
        'court',
        'ct',
        'place',
        'pl',
        'square',
        'sq',
        'terrace',
        'terr',
        'tce',
        'close',
        'cl',
        'crescent',
        'cres',
        'park',
        'pk',
        'gardens',
        'gdns',
        'grove',
        'gr',
        'row',
        'hill',
        'the',
        'no',
        'apt',
        'apartment',
        'flat',
        'unit',
    ];

    /**
     * @param string $given given names as written
     * @param string $family family name as written
     * @param list<string> $emails
     * @param list<string> $phones E.164
     * @param string $line house and street
     * @param list<self> $elsewhere where else they are found, as where their things stand; of each the address counts alone
     */
    public function __construct(
        string $given,
        string $family,
        string $organisation = '',
        array $emails = [],
        array $phones = [],
        string $line = '',
        string $locality = '',
        string $postalCode = '',
        private array $elsewhere = [],
    ) {
        $words = Fold::words($given);
        // A form of address is no name, unless it is all there is.
        $this->given = array_values(\count($words) > 1 ? array_diff($words, self::FORMS_OF_ADDRESS) : $words);
        $this->family = Fold::words($family);
        $this->organisation = Fold::text($organisation);
        $this->emails = array_values(array_filter(
            array_map(static fn (string $email): string => mb_strtolower(trim($email)), $emails),
            static fn (string $email): bool => '' !== $email,
        ));
        $this->phones = array_values(array_filter(
            array_map(static fn (string $phone): string => (string) preg_replace('/\D/', '', $phone), $phones),
            static fn (string $phone): bool => '' !== $phone,
        ));
        $words = Fold::words($line);
        $numbers = array_filter($words, static fn (string $word): bool => 1 === preg_match('/^\d+[a-z]?$/', $word));
        $this->houseNumber = reset($numbers) ?: '';
        $names = array_diff($words, self::STREET_KINDS, $numbers);
        $this->street = implode(' ', [] === $names ? array_diff($words, $numbers) : $names);
        $this->line = $this->houseNumber.str_replace(' ', '', $this->street);
        $this->locality = Fold::text($locality);
        $this->postalCode = str_replace(' ', '', Fold::text($postalCode));
    }

    public function familyName(): string
    {
        return implode('', $this->family);
    }

    /** @return list<self> every place where they are found, each once; themselves alone where none is known */
    public function places(): array
    {
        $places = [];
        foreach ([$this, ...$this->elsewhere] as $place) {
            if ($place->hasAddress() || '' !== $place->postalCode.$place->locality) {
                $places["$place->line|$place->postalCode|$place->locality"] ??= $place;
            }
        }

        return [] === $places ? [$this] : array_values($places);
    }

    public function hasAddress(): bool
    {
        return '' !== $this->street || '' !== $this->houseNumber;
    }
}

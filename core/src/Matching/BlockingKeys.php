<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

use Telamon\Core\Text\Fold;

/**
 * Under which keys a person is filed, so that one who may be the same is found without comparing everybody.
 * Two who share no key are not compared.
 */
final readonly class BlockingKeys
{
    /** A key that more people than this share tells nobody apart; there are others. */
    public const LARGEST_BLOCK = 250;
    /** Mailboxes that many people of many offices have (RFC 2142 and common practice). */
    private const OFFICE_MAILBOXES = ['info', 'office', 'admin', 'sales', 'contact', 'hello', 'mail', 'support', 'reception', 'accounts', 'enquiries'];

    public function __construct(private ShortForms $forms)
    {
    }

    /** @return list<string> each once */
    public function of(Person $person): array
    {
        $keys = [...$this->points($person), ...$this->names($person)];
        foreach ($person->places() as $place) {
            $street = Fold::sound(strtok($place->street, ' ') ?: '');
            if ('' !== $place->houseNumber && '' !== $place->street) {
                $keys[] = "a:{$place->houseNumber}|$street";
            }
            if ('' !== $place->street && '' !== $place->postalCode) {
                $keys[] = "s:{$place->postalCode}|$street";
            }
        }

        return array_values(array_unique($keys));
    }

    /**
     * Under what a person is filed: those keys, and two more by which names are counted.
     *
     * @return list<int> hashes, each once
     */
    public function filed(Person $person): array
    {
        $keys = $this->of($person);
        if (isset($person->given[0])) {
            $keys[] = self::counted(Field::Given, $person->given[0]);
        }
        if ('' !== $person->familyName()) {
            $keys[] = self::counted(Field::Family, $person->familyName());
        }

        return array_values(array_unique(array_map(self::hash(...), $keys)));
    }

    /** The key under which everybody with a given or family name is filed. */
    public static function counted(Field $field, string $name): string
    {
        return Field::Given === $field ? "c:$name" : "d:$name";
    }

    /** 63 bits of a key: short and quick to look up. Two keys that meet by chance cost one comparison more. */
    public static function hash(string $key): int
    {
        $parts = unpack('J', hash('xxh64', $key, true));

        return (\is_array($parts) && \is_int($parts[1] ?? null) ? $parts[1] : 0) & \PHP_INT_MAX;
    }

    /** @return list<string> */
    private function points(Person $person): array
    {
        $keys = [];
        foreach ($person->emails as $email) {
            $keys[] = "e:$email";
            $local = strstr($email, '@', true);
            if (false !== $local && \strlen($local) > 5 && !\in_array($local, self::OFFICE_MAILBOXES, true)) {
                $keys[] = "l:$local";
            }
        }
        foreach ($person->phones as $phone) {
            $keys[] = 'p:'.substr($phone, -8);
        }

        return $keys;
    }

    /** @return list<string> */
    private function names(Person $person): array
    {
        $sounds = [];
        foreach ([...$person->given, ...$person->family] as $word) {
            $sounds[$word] = Fold::sound($word);
        }
        $family = Fold::sound($person->familyName());
        $keys = [];
        foreach ($this->fullNames($person) as $given) {
            $given = Fold::sound($given);
            $pair = [$given, $family];
            // In no order, as given and family name change places.
            sort($pair);
            $keys[] = 'n:'.implode('|', $pair);
        }
        foreach ($person->family as $word) {
            if (isset($person->given[0])) {
                $pair = [$sounds[$person->given[0]], $sounds[$word]];
                sort($pair);
                $keys[] = 'n:'.implode('|', $pair);
            }
        }
        if ('' !== $family && isset($person->given[0])) {
            $keys[] = "i:$family|{$person->given[0][0]}";
        }
        foreach ($person->phones as $phone) {
            // A slip in one half of the number leaves the other.
            $keys[] = "f:$family|".substr($phone, -4);
            $keys[] = "h:$family|".substr($phone, -8, 4);
        }
        foreach ($person->places() as $place) {
            foreach (array_filter([$place->postalCode, $place->locality], static fn (string $text): bool => '' !== $text) as $area) {
                $keys[] = "z:$family|$area";
                if ('' !== $place->postalCode && $area === $place->postalCode) {
                    foreach ($this->fullNames($person) as $given) {
                        $keys[] = 'g:'.Fold::sound($given)."|$area";
                    }
                }
            }
        }

        return $keys;
    }

    /** @return list<string> */
    private function fullNames(Person $person): array
    {
        return [] === $person->given ? [] : $this->forms->full($person->given[0]);
    }
}

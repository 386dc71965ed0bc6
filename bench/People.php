<?php

declare(strict_types=1);

namespace Telamon\Bench;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Makes people out of nothing, and the same people again as typing and life leave them. Nobody in it exists;
 * its telephone numbers are made at run time, are of no range set aside for fiction, and are kept nowhere.
 *
 * @phpstan-type Row array{external_id: string, given_name: string, family_name: string, organisation: string, email: string, phone: string, address_line: string, locality: string, postal_code: string, country: string}
 */
final class People
{
    /** How often a second record of a person differs from the first, per field. */
    public const ERRORS = [
        'given: a letter wrong, missing, doubled or changed about' => .06, 'given: a short form' => .08, 'given: an initial' => .04,
        'family: a letter wrong, missing, doubled or changed about' => .06, 'family: another after a wedding' => .02,
        'given and family changed about' => .02, 'all in capitals' => .05,
        'phone: another' => .15, 'phone: none' => .08, 'phone: a figure wrong' => .02,
        'email: another' => .15, 'email: none' => .08, 'email: a letter wrong' => .02,
        'address: moved house' => .12, 'address: none' => .08, 'address: a letter wrong, or the kind of street short' => .15,
    ];
    /** The same, of careless people who move often. */
    public const MORE_ERRORS = [
        'given: a letter wrong, missing, doubled or changed about' => .08, 'given: a short form' => .08, 'given: an initial' => .05,
        'family: a letter wrong, missing, doubled or changed about' => .08, 'family: another after a wedding' => .03,
        'given and family changed about' => .03, 'all in capitals' => .05,
        'phone: another' => .22, 'phone: none' => .08, 'phone: a figure wrong' => .03,
        'email: another' => .20, 'email: none' => .08, 'email: a letter wrong' => .03,
        'address: moved house' => .15, 'address: none' => .08, 'address: a letter wrong, or the kind of street short' => .20,
    ];
    private const IN_HOUSEHOLD = .06;

    private Randomizer $dice;

    /** @var array<string, true> */
    private array $taken = [];

    /** @var list<string> */
    private array $givenNames = [];

    /** @var array<string, list<string>> */
    private array $shortForms = [];

    /** @var list<string> */
    private array $familyNames = [];

    /** @var non-empty-list<array{string, string}> town and the beginning of its postal codes */
    private array $towns = [['Marrowby', 'M00']];

    /** @var non-empty-list<string> */
    private array $streets = ['Mill Race'];

    /** @param array<string, float> $errors how often a second record differs, per field */
    public function __construct(int $seed, private readonly array $errors = self::ERRORS)
    {
        $this->dice = new Randomizer(new Mt19937($seed));
        /** @var list<string> $lines */
        $lines = require \dirname(__DIR__).'/core/resources/short-forms.php';
        foreach ($lines as $line) {
            $forms = explode(' ', $line);
            $this->givenNames[] = $forms[0];
            $this->shortForms[$forms[0]] = \array_slice($forms, 1);
        }
        for ($i = 0; $i < 120; ++$i) {
            $this->givenNames[] = $this->word(2);
        }
        $this->givenNames = $this->dice->shuffleArray($this->givenNames);
        for ($i = 0; $i < 3000; ++$i) {
            $this->familyNames[] = $this->pick(['', '', '', '', "O'", 'Mc', 'Ni ', 'de ']).ucfirst($this->word($this->dice->getInt(2, 3)));
        }
        for ($i = 0; $i < 60; ++$i) {
            $this->towns[] = [ucfirst($this->word(2)).$this->pick(['ford', 'ham', 'by', 'ton', 'wick', 'stow']), \chr(65 + $i % 26).\sprintf('%02d', $i)];
        }
        for ($i = 0; $i < 500; ++$i) {
            $this->streets[] = ucfirst($this->word($this->dice->getInt(1, 2))).' '.$this->pick(['Street', 'Road', 'Lane', 'Avenue', 'Terrace', 'Close', 'Court']);
        }
    }

    /**
     * @param int $records how many in all
     * @param int $pairs how many of them are the second record of a person
     *
     * @return array{list<Row>, array<string, true>} the records, and the true pairs as “a|b”
     */
    public function make(int $records, int $pairs): array
    {
        $rows = [];
        for ($i = 0; $i < $records - $pairs; ++$i) {
            $rows[] = $i > 0 && $this->chance(self::IN_HOUSEHOLD) ? $this->relative($rows[$this->dice->getInt(0, $i - 1)], $i) : $this->person($i);
        }
        $truth = [];
        if ([] === $rows || $pairs < 1) {
            return [$rows, $truth];
        }
        foreach ($this->dice->pickArrayKeys($rows, $pairs) as $n => $key) {
            $again = $this->again($rows[$key], $records - $pairs + $n);
            $truth["{$rows[$key]['external_id']}|{$again['external_id']}"] = true;
            $rows[] = $again;
        }

        return [$rows, $truth];
    }

    /** @return Row */
    private function person(int $i): array
    {
        $given = ucfirst($this->common($this->givenNames));
        $family = $this->common($this->familyNames);
        $row = [
            'external_id' => "p$i",
            'given_name' => $given,
            'family_name' => $family,
            'organisation' => $this->chance(.08) ? ucfirst($this->word(2)).' '.$this->pick(['Hall', 'School', 'Works', 'Society']) : '',
            'email' => $this->chance(.94) ? $this->email($given, $family) : '',
            'phone' => $this->chance(.88) ? $this->phone() : '',
            'address_line' => '',
            'locality' => '',
            'postal_code' => '',
            'country' => 'IE',
        ];

        return $this->chance(.9) ? $this->live($row) : $row;
    }

    /**
     * @param Row $row
     *
     * @return Row
     */
    private function relative(array $row, int $i): array
    {
        do {
            $given = ucfirst($this->common($this->givenNames));
        } while ($given === $row['given_name']);
        $own = ['external_id' => "p$i", 'given_name' => $given] + $row;
        $own['family_name'] = $this->chance(.85) ? $row['family_name'] : $this->common($this->familyNames);
        $own['phone'] = $this->chance(.5) ? $row['phone'] : $this->phone();
        $own['email'] = $this->chance(.2) ? $row['email'] : $this->email($given, $own['family_name']);

        return $own;
    }

    /**
     * @param Row $row
     *
     * @return Row
     */
    private function again(array $row, int $i): array
    {
        $row['external_id'] = "p$i";
        $error = fn (string $what): bool => $this->chance($this->errors[$what] ?? 0.0);
        if ($error('given: a letter wrong, missing, doubled or changed about')) {
            $row['given_name'] = $this->slip($row['given_name']);
        } elseif ($error('given: a short form')) {
            $forms = $this->shortForms[strtolower($row['given_name'])] ?? [];
            $row['given_name'] = [] === $forms ? $row['given_name'] : ucfirst($this->pick($forms));
        } elseif ($error('given: an initial')) {
            $row['given_name'] = mb_substr($row['given_name'], 0, 1).$this->pick(['', '.']);
        }
        if ($error('family: a letter wrong, missing, doubled or changed about')) {
            $row['family_name'] = $this->slip($row['family_name']);
        } elseif ($error('family: another after a wedding')) {
            $row['family_name'] = $this->common($this->familyNames);
        }
        if ($error('given and family changed about')) {
            [$row['given_name'], $row['family_name']] = [$row['family_name'], $row['given_name']];
        }
        if ($error('phone: another')) {
            $row['phone'] = $this->phone();
        } elseif ($error('phone: none')) {
            $row['phone'] = '';
        } elseif ($error('phone: a figure wrong')) {
            $row['phone'] = $this->slip($row['phone'], '0123456789', 4);
        }
        if ($error('email: another')) {
            $row['email'] = $this->email($row['given_name'], $row['family_name']);
        } elseif ($error('email: none')) {
            $row['email'] = '';
        } elseif ($error('email: a letter wrong')) {
            $row['email'] = $this->slip($row['email']);
        }
        if ($error('address: moved house')) {
            $row = $this->live($row);
        } elseif ($error('address: none')) {
            $row['address_line'] = $row['locality'] = $row['postal_code'] = '';
        } elseif ($error('address: a letter wrong, or the kind of street short')) {
            $row['address_line'] = $this->chance(.5)
                ? $this->slip($row['address_line'])
                : strtr($row['address_line'], ['Street' => 'St', 'Road' => 'Rd.', 'Avenue' => 'Ave', 'Lane' => 'Ln', 'Terrace' => 'Tce']);
        }

        return $error('all in capitals') ? [...$row, 'given_name' => mb_strtoupper($row['given_name']), 'family_name' => mb_strtoupper($row['family_name'])] : $row;
    }

    /**
     * @param Row $row
     *
     * @return Row
     */
    private function live(array $row): array
    {
        [$town, $code] = $this->pick($this->towns);

        return [
            ...$row,
            'address_line' => $this->dice->getInt(1, 140).' '.$this->pick($this->streets),
            'locality' => $town,
            'postal_code' => $code.' '.strtoupper($this->word(1)).$this->dice->getInt(0, 9),
        ];
    }

    private function email(string $given, string $family): string
    {
        $given = strtolower((string) preg_replace('/\W/', '', $given));
        $family = strtolower((string) preg_replace('/\W/', '', $family));

        // A mailbox belongs to one: what is taken gets a number, as it would with any provider.
        do {
            $address = $this->mailbox($given, $family);
        } while (isset($this->taken[$address]));
        $this->taken[$address] = true;

        return $address;
    }

    private function mailbox(string $given, string $family): string
    {
        return $this->pick([
            "$given.$family",
            "$given$family",
            $given[0].$family,
            "$family.{$given[0]}",
            $given.$this->dice->getInt(1, 999),
        ]).($this->chance(.4) ? $this->dice->getInt(1, 99) : '').'@'.$this
            ->pick(['post.example', 'mail.example', 'home.example', 'letters.example', 'box.example', $this->word(2).'.example']);
    }

    private function phone(): string
    {
        return '+3538'.$this->dice->getInt(3, 9).$this->dice->getInt(1_000_000, 9_999_999);
    }

    /** One slip of the fingers. */
    private function slip(string $text, string $letters = 'abcdefghijklmnoprstuvwy', int $from = 0): string
    {
        $length = \strlen($text);
        if ($length < $from + 3) {
            return $text;
        }
        $at = $this->dice->getInt($from, $length - 2);
        $letter = $letters[$this->dice->getInt(0, \strlen($letters) - 1)];

        return match ($this->dice->getInt(0, 3)) {
            0 => substr($text, 0, $at).$text[$at + 1].$text[$at].substr($text, $at + 2),
            1 => substr($text, 0, $at).substr($text, $at + 1),
            2 => substr($text, 0, $at).$text[$at].substr($text, $at),
            default => substr($text, 0, $at).$letter.substr($text, $at + 1),
        };
    }

    private function word(int $syllables): string
    {
        $word = '';
        for ($i = 0; $i < $syllables; ++$i) {
            $word .= $this->pick(['b', 'br', 'c', 'cr', 'd', 'f', 'g', 'h', 'k', 'l', 'm', 'n', 'p', 'r', 's', 'st', 't', 'w']).$this
                ->pick(['a', 'e', 'i', 'o', 'u', 'ea', 'oo']).$this
                ->pick(['', 'l', 'n', 'r', 's', 'th', 'ck', 'm']);
        }

        return $word;
    }

    /**
     * Few are very common and most are rare, as names are (G. K. Zipf, "Human Behavior and the Principle of Least Effort", 1949).
     *
     * @param list<string> $from
     */
    private function common(array $from): string
    {
        $flat = 15;

        return $from[(int) ($flat * ((1 + \count($from) / $flat) ** ($this->share() * .9999) - 1))];
    }

    private function chance(float $of): bool
    {
        return $this->share() < $of;
    }

    private function share(): float
    {
        return $this->dice->getInt(0, 999_999) / 1_000_000;
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $from
     *
     * @return T
     */
    private function pick(array $from): mixed
    {
        return $from[$this->dice->getInt(0, \count($from) - 1)];
    }
}

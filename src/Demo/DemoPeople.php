<?php

declare(strict_types=1);

namespace Telamon\Demo;

/** Invented people, houses and pianos; the same seed gives the same ones. */
final class DemoPeople
{
    private const GIVEN = [
        'Orla',
        'Wilf',
        'Rosheen',
        'Colm',
        'Bryony',
        'Ida',
        'Hugh',
        'Bea',
        'Maeve',
        'Tadhg',
        'Nuala',
        'Fintan',
        'Aoife',
        'Cormac',
        'Dervla',
        'Eamon',
        'Greta',
        'Lorcan',
        'Niamh',
        'Oisín',
        'Peig',
        'Ronan',
        'Saoirse',
        'Una',
        'Brendan',
        'Clodagh',
        'Declan',
        'Enda',
        'Fiadh',
        'Garvan',
        'Hazel',
        'Ivo',
        'Juno',
        'Kit',
        'Líam',
        'Mabel',
        'Ned',
        'Olive',
        'Piers',
        'Ruadh',
    ];
    private const FAMILY = [
        'Fennick',
        'Ambry',
        'Attley',
        'Spindle',
        'Tesk',
        'Dunmarl',
        'Orrin',
        'Larkhill',
        'Ó Garrow',
        'Merrow',
        'Culvert',
        'Haskin',
        'Tallow',
        'Brackley',
        'Quillan',
        'Wendle',
        'Rushby',
        'Ni Vane',
        'Corrick',
        'Lambe',
        'Ferrowby',
        'Osk',
        'Thornlea',
        'Gannel',
        'Hollis-Reave',
        'Pardle',
        'Skelly',
        'Windle',
        'de Marl',
        'Ashlock',
        'Crewl',
        'Dapple',
        'Eskwith',
        'Farrant',
        'Gorsey',
        'Heddle',
        'Inchmore',
        'Jessop-Tarn',
        'Kellow',
        'Lintott',
    ];
    private const HALLS = ['Lantern Hall', 'Gable Lane School', 'Marsh End Choir', 'Quarry Hall', 'St Corvan Parish Rooms', 'Ferry Inn'];
    private const STREETS = [
        'Weir Cottages',
        'Ropewalk',
        'Gable Lane',
        'Quarry Steps',
        'Marsh End',
        'Mill Race',
        'Lantern Street',
        'Chapel Bank',
        'Orchard Row',
        'Harbour Hill',
        'Long Meadow',
        'Tannery Yard',
    ];
    private const TOWNS = ['Marrowby', 'Marrowby', 'Marrowby', 'Dunmarl Bridge', 'Corvane', 'Saltfold', 'Attley Cross'];
    private const MAKERS = ['Pell & Thrane', 'Aldermoor', 'Halk & Roe', 'Corvane', 'Brindle & Sons', 'Ostermark', 'Varley'];

    private int $person = 0;

    public function __construct(private readonly DemoDice $dice)
    {
    }

    /** @return array{given: string, family: string, email: string, phone: string, address: string} */
    public function person(): array
    {
        $n = $this->person++;
        $given = self::GIVEN[$n % \count(self::GIVEN)];
        $family = self::FAMILY[($n + intdiv($n, \count(self::GIVEN)) * 7) % \count(self::FAMILY)];

        return $this->reach($given, $family, $n);
    }

    /** @return list<array{given: string, family: string, email: string, phone: string, address: string}> */
    public function halls(): array
    {
        return array_map(fn (string $name, int $i): array => $this->reach('', $name, 900 + $i), self::HALLS, array_keys(self::HALLS));
    }

    public function piano(): string
    {
        $maker = $this->dice->pick(self::MAKERS);
        $kind = $this->dice->pick(['upright', 'upright', 'upright', 'grand', 'square']);

        return \sprintf('%s %s, about %d, no. %d', $maker, $kind, $this->dice->between(1895, 1988), $this->dice->between(12000, 98000));
    }

    /** @return array{given: string, family: string, email: string, phone: string, address: string} */
    private function reach(string $given, string $family, int $n): array
    {
        $mail = strtolower((string) preg_replace(
            '/[^a-z.]+/i',
            '',
            (string) transliterator_transliterate('Any-Latin; Latin-ASCII', '' === $given ? str_replace(' ', '.', $family) : "$given.$family"),
        ));

        return [
            'given' => $given,
            'family' => $family,
            'email' => $mail.'@'.$this->dice->pick(['example.com', 'example.org', 'mail.example', 'post.example']),
            'phone' => \sprintf('+3532091%05d', 10000 + ($n * 7919) % 90000),
            'address' => $this->dice->between(1, 48).' '.$this->dice->pick(self::STREETS).', '.$this->dice->pick(self::TOWNS),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Reading;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Reading\AddressReader;
use Telamon\Core\Reading\NameReader;

final class AddressReaderTest extends TestCase
{
    #[DataProvider('addresses')]
    public function testAnAddressComesApart(string $text, string $line, string $locality, string $postalCode = '', string $country = ''): void
    {
        $address = (new AddressReader())->read($text);
        self::assertSame([$line, $locality, $postalCode, $country], [$address->line, $address->locality, $address->postalCode, $address->country]);
    }

    /** @return iterable<array{string, string, string, 3?: string, 4?: string}> */
    public static function addresses(): iterable
    {
        yield ['7 Weir Cottages, Marrowby', '7 Weir Cottages', 'Marrowby'];
        yield ['7 Weir Cottages, Marrowby. Three steps up.', '7 Weir Cottages', 'Marrowby'];
        yield ['12 Mill Rd. West, Saltfold, S01 AB12', '12 Mill Rd. West', 'Saltfold', 'S01 AB12'];
        yield ['12 Mill Road, Saltfold S01 AB12, IE', '12 Mill Road', 'Saltfold', 'S01 AB12', 'IE'];
        yield ['Hauptweg 4, 12345 Neustadt', 'Hauptweg 4', 'Neustadt', '12345'];
        yield ['Flat 3, The Maltings, Quay Street, Saltfold, SF1 2AB', 'Flat 3, The Maltings, Quay Street', 'Saltfold', 'SF1 2AB'];
        yield ['Quarry Hall', 'Quarry Hall', ''];
        yield ['', '', ''];
    }

    public function testAndBackOnOneLine(): void
    {
        foreach (['7 Weir Cottages, Marrowby', '12 Mill Rd. West, Saltfold, S01 AB12', '12 Mill Road, Saltfold, S01 AB12, IE'] as $text) {
            self::assertSame($text, (new AddressReader())->read($text)->oneLine());
        }
    }

    #[DataProvider('names')]
    public function testNamesInCapitalsArePutRightAndNoOthers(string $text, string $given, string $family): void
    {
        $name = (new NameReader())->read($text);
        self::assertSame([$given, $family], [$name->given, $name->family]);
    }

    /** @return iterable<array{string, string, string}> */
    public static function names(): iterable
    {
        yield ['ORLA FENNICK', 'Orla', 'Fennick'];
        yield ['orla fennick', 'Orla', 'Fennick'];
        yield ["GRÁINNE O'BEIRNE-AMBRY", 'Gráinne', "O'Beirne-Ambry"];
        yield ['RORY MCQUILL', 'Rory', 'McQuill'];
        yield ['LUCA DE VALLE', 'Luca', 'de Valle'];
        yield ['ÚNA NÍ BHRAONÁIN', 'Úna', 'Ní Bhraonáin'];
        yield ['Rory Mcquill', 'Rory', 'Mcquill'];
        yield ['Rory mac Quill', 'Rory', 'mac Quill'];
        yield ['bell hooksby Ambry', 'bell hooksby', 'Ambry'];
        yield ['FENNICK, ORLA', 'Orla', 'Fennick'];
        yield ['Wilf Ambry Jr.', 'Wilf', 'Ambry Jr.'];
        yield ['Wilf Ambry III', 'Wilf', 'Ambry III'];
        yield ['JB', 'JB', ''];
    }
}

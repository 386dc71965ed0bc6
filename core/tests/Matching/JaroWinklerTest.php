<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Matching;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Text\JaroWinkler;

/**
 * Against the examples of U.S. Census Bureau names in W. E. Winkler, "String Comparator Metrics and Enhanced
 * Decision Rules in the Fellegi–Sunter Model of Record Linkage", 1990 (from memory, confirmed with jellyfish 0.8.9).
 */
final class JaroWinklerTest extends TestCase
{
    #[DataProvider('names')]
    public function testWinklersTable(string $a, string $b, float $jaro, float $winkler): void
    {
        self::assertEqualsWithDelta($jaro, JaroWinkler::jaro($a, $b), 0.0005);
        self::assertEqualsWithDelta($winkler, JaroWinkler::similarity($a, $b), 0.0005);
        self::assertEqualsWithDelta($jaro, JaroWinkler::jaro($b, $a), 0.0005, 'either way round');
    }

    /** @return iterable<string, array{string, string, float, float}> */
    public static function names(): iterable
    {
        foreach ([
            ['SHACKLEFORD', 'SHACKELFORD', .970, .982], ['DUNNINGHAM', 'CUNNIGHAM', .896, .896], ['NICHLESON', 'NICHULSON', .926, .956], ['JONES', 'JOHNSON', .790, .832],
            ['MASSEY', 'MASSIE', .889, .933], ['ABROMS', 'ABRAMS', .889, .922], ['JERALDINE', 'GERALDINE', .926, .926], ['MARHTA', 'MARTHA', .944, .961],
            ['MICHELLE', 'MICHAEL', .869, .921], ['JULIES', 'JULIUS', .889, .933], ['TANYA', 'TONYA', .867, .880], ['DWAYNE', 'DUANE', .822, .840],
            ['SEAN', 'SUSAN', .783, .805], ['JON', 'JOHN', .917, .933], ['DIXON', 'DICKSONX', .767, .813],
        ] as $row) {
            yield "$row[0] $row[1]" => $row;
        }
    }

    public function testTheEndsOfTheScale(): void
    {
        self::assertSame(1.0, JaroWinkler::similarity('orla', 'orla'));
        self::assertSame(0.0, JaroWinkler::similarity('orla', 'kim'));
        self::assertSame(0.0, JaroWinkler::similarity('', 'orla'));
        self::assertSame(1.0, JaroWinkler::similarity('', ''));
    }
}

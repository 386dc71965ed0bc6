<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Planning\AskedService;

final class AskedServiceTest extends TestCase
{
    private const NAMES = ['tuning' => 'Tuning', 'repair' => 'Repair', 'new-strings' => 'New strings & hammers'];

    #[DataProvider('answers')]
    public function testAServiceIsMeantByItsKeyOrItsName(string $value, string $words, string $expected): void
    {
        self::assertSame($expected, AskedService::key($value, $words, self::NAMES));
        self::assertSame('' !== $expected, AskedService::fits($value, $words, self::NAMES));
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function answers(): iterable
    {
        yield 'its key' => ['tuning', 'Tune it', 'tuning'];
        yield 'a choice of the designer, by its name' => ['c_w4hz7k2m', 'Repair', 'repair'];
        yield 'whatever the case, white space and marks' => ['c_w4hz7k2m', ' new  STRINGS, hammers! ', 'new-strings'];
        yield 'a key in words' => ['c_1', 'new strings', 'new-strings'];
        yield 'written, not chosen' => ['Repair', 'Repair', 'repair'];
        yield 'a key wins over a name' => ['tuning', 'Repair', 'tuning'];
        yield 'something else' => ['c_2', 'Colour', ''];
        yield 'a part of a name' => ['c_3', 'strings', ''];
        yield 'marks alone' => ['?!', '?!', ''];
        yield 'nothing' => ['', '', ''];
    }

    public function testWhatIsOfferedBesideServicesFits(): void
    {
        self::assertTrue(AskedService::fits('other', 'Something else', self::NAMES));
        self::assertTrue(AskedService::fits('none', 'I do not know', self::NAMES));
        self::assertSame('', AskedService::key('other', 'Something else', self::NAMES));
        self::assertFalse(AskedService::isAmiss(null, self::NAMES));
    }
}

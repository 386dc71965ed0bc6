<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Evidence;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Evidence\CanonicalJson;
use Telamon\Core\Evidence\NotCanonical;

final class CanonicalJsonTest extends TestCase
{
    /** RFC 8785, 3.2.3: keys in the order of their UTF-16 units, which is not that of their bytes. */
    public function testKeysStandInTheOrderOfTheStandard(): void
    {
        $read = CanonicalJson::read(
            '{"\u20ac":"Euro Sign","\r":"Carriage Return","\ufb33":"Hebrew Letter Dalet With Dagesh","1":"One","\ud83d\ude00":"Emoji: Grinning Face","\u0080":"Control","\u00f6":"Latin Small Letter O With Diaeresis"}',
        );
        self::assertSame(
            "{\"\\r\":\"Carriage Return\",\"1\":\"One\",\"\u{80}\":\"Control\",\"\u{f6}\":\"Latin Small Letter O With Diaeresis\",\"\u{20ac}\":\"Euro Sign\",\"\u{1f600}\":\"Emoji: Grinning Face\",\"\u{fb33}\":\"Hebrew Letter Dalet With Dagesh\"}",
            CanonicalJson::write($read),
        );
    }

    /** RFC 8785, 3.2.2: the text and the literals of its example, without its fractions. */
    public function testTextsHaveAsFewEscapesAsThereCanBe(): void
    {
        $read = CanonicalJson::read(
            '{"string": "\u20ac$\u000F\u000aA\'\u0042\u0022\u005c\\\\\"\/", "literals": [ null, true, false ], "empty": {}, "none": [ ], "line": "\u2028"}',
        );
        self::assertSame(
            "{\"empty\":{},\"line\":\"\u{2028}\",\"literals\":[null,true,false],\"none\":[],\"string\":\"\u{20ac}$\\u000f\\nA'B\\\"\\\\\\\\\\\"/\"}",
            CanonicalJson::write($read),
        );
    }

    public function testMapsAreSortedAllTheWayDown(): void
    {
        self::assertSame('{"a":[{"b":1,"c":-2}],"d":0}', CanonicalJson::write(['d' => 0, 'a' => [['c' => -2, 'b' => 1]]]));
        self::assertSame('{"10":1,"9":2}', CanonicalJson::write(['9' => 2, '10' => 1]), 'figures as keys are texts too');
    }

    #[DataProvider('others')]
    public function testWhatHasNoOneSpellingIsRefused(mixed $value): void
    {
        $this->expectException(NotCanonical::class);
        CanonicalJson::write($value);
    }

    /** @return iterable<string, array{mixed}> */
    public static function others(): iterable
    {
        yield 'a fraction' => [1.5];
        yield 'more than every reader holds' => [9_007_199_254_740_992];
        yield 'no UTF-8' => ["\xFF"];
        yield 'an object of ours' => [new \DateTimeImmutable('2026-12-02 UTC')];
        $deep = [];
        for ($i = 0; $i < 70; ++$i) {
            $deep = [$deep];
        }
        yield 'too deep' => [$deep];
    }

    public function testTheMostThatEveryReaderHoldsIsWritten(): void
    {
        self::assertSame('[9007199254740991,-9007199254740991]', CanonicalJson::write([9_007_199_254_740_991, -9_007_199_254_740_991]));
    }

    public function testWhatIsNoJsonIsRefused(): void
    {
        $this->expectException(NotCanonical::class);
        CanonicalJson::read('{"a":');
    }
}

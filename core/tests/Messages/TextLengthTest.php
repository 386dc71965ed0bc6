<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Messages;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Messages\TextLength;

/** 3GPP TS 23.038, section 6.2.1 (alphabet, extension) and 6.2.3 (UCS-2); TS 23.040, section 9.2.3.24.1 (153 and 67 in parts). */
final class TextLengthTest extends TestCase
{
    /** @return array<string, array{string, bool, int, int, int}> text, GSM 7 bit, places, parts, left */
    public static function texts(): array
    {
        return [
            'nothing' => ['', true, 0, 0, 160],
            'one letter' => ['a', true, 1, 1, 159],
            'a whole message' => [str_repeat('a', 160), true, 160, 1, 0],
            'one more: two parts of 153' => [str_repeat('a', 161), true, 161, 2, 145],
            'two whole parts' => [str_repeat('a', 306), true, 306, 2, 0],
            'three parts' => [str_repeat('a', 307), true, 307, 3, 152],
            'the euro sign takes two' => ['€', true, 2, 1, 158],
            'all of the extension' => ['^{}\\[~]|€', true, 18, 1, 142],
            'eighty euros are a whole message' => [str_repeat('€', 80), true, 160, 1, 0],
            'a sign of two places is not cut' => [str_repeat('a', 152).'€'.str_repeat('a', 10), true, 164, 2, 141],
            'letters of the alphabet' => ['ÄÖÜäöüßñÑ¿¡ÆæØøÅåÇéèùìòàΔΦΓΛΩΠΨΣΘΞ@£$¥_', true, 39, 1, 121],
            'ç is not in the table, Ç is' => ['ç', false, 1, 1, 69],
            'a whole UCS-2 message' => [str_repeat('ł', 70), false, 70, 1, 0],
            'one more: two parts of 67' => [str_repeat('ł', 71), false, 71, 2, 63],
            'three UCS-2 parts' => [str_repeat('ł', 135), false, 135, 3, 66],
            'one curly apostrophe makes all of it wide' => [str_repeat('a', 70)."\u{2019}", false, 71, 2, 63],
            'a face takes two units' => ['😀', false, 2, 1, 68],
            'a face is not cut' => [str_repeat('ł', 66).'😀łłłł', false, 72, 2, 61],
            'line breaks count' => ["a\nb\rc", true, 5, 1, 155],
        ];
    }

    #[DataProvider('texts')]
    public function testItIsCountedAsTheStandardSays(string $text, bool $gsm7, int $places, int $parts, int $left): void
    {
        $length = TextLength::of($text);

        self::assertSame([$gsm7, $places, $parts, $left], [$length->gsm7, $length->places, $length->parts, $length->left]);
    }

    public function testTheAlphabetHas127SignsBesidesTheEscapeEachOnce(): void
    {
        self::assertCount(127, array_unique(mb_str_split(TextLength::ALPHABET)));
        self::assertCount(10, array_unique(mb_str_split(TextLength::EXTENSION)));
    }

    public function testItNamesTheSignsThatMakeItWide(): void
    {
        self::assertSame(["\u{2019}", 'ł'], TextLength::of("it\u{2019}s łł")->wide);
    }
}

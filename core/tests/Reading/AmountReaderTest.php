<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Reading;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Reading\Amount;
use Telamon\Core\Reading\AmountReader;

final class AmountReaderTest extends TestCase
{
    #[DataProvider('amounts')]
    public function testAmounts(string $text, ?Amount $expected): void
    {
        self::assertEquals($expected, (new AmountReader())->read($text));
    }

    /**
     * Digit grouping by point, comma, blank and apostrophe as the Unicode CLDR has it for en, de, fr and de-CH; currency
     * codes of ISO 4217.
     *
     * @return iterable<string, array{string, Amount|null}>
     */
    public static function amounts(): iterable
    {
        yield 'plain' => ['500', new Amount('500')];
        yield 'with places' => ['12.50', new Amount('12.50')];
        yield 'one place after a comma' => ['12,5', new Amount('12.5')];
        yield 'de' => ['€1.250,00', new Amount('1250.00', currency: 'EUR')];
        yield 'en' => ['£1,250.00', new Amount('1250.00', currency: 'GBP')];
        yield 'a comma before three figures parts thousands' => ['1,250', new Amount('1250')];
        yield 'a point before three figures too' => ['1.250 €', new Amount('1250', currency: 'EUR')];
        yield 'but not after a nought' => ['0.125', new Amount('0.125')];
        yield 'fr, narrow blank' => ["1\u{202f}250,00 €", new Amount('1250.00', currency: 'EUR')];
        yield 'de-CH' => ['CHF 1’250.50', new Amount('1250.50', currency: 'CHF')];
        yield 'millions' => ['1.250.000', new Amount('1250000')];
        yield 'about' => ['about 500', new Amount('500', isAbout: true)];
        yield 'a sign for about' => ['~ 500 euro', new Amount('500', currency: 'EUR', isAbout: true)];
        yield 'afterwards' => ['500 or so', new Amount('500', isAbout: true)];
        yield 'a bound' => ['up to €800', new Amount('800', currency: 'EUR', isAbout: true)];
        yield 'a span' => ['500-600', new Amount('500', '600', isAbout: true)];
        yield 'a span in words' => ['between 500 and 600 euros', new Amount('500', '600', 'EUR', true)];
        yield 'thousands' => ['1.5k', new Amount('1500')];
        yield 'a span of thousands' => ['1 to 2k', new Amount('1000', '2000', isAbout: true)];
        yield 'a dash for no cents' => ['EUR 500,-', new Amount('500', currency: 'EUR')];
        yield 'points nowhere near thousands' => ['1.25.00', null];
        yield 'signs that make no sense' => ['1,25.00,0', null];
        yield 'three amounts' => ['1 to 2 to 3', null];
        yield 'a phone number' => ['020 914 3327', null];
        yield 'words' => ['as little as possible', null];
        yield 'figures in a word' => ['B52', null];
        yield 'less than nothing' => ['-20', null];
        yield 'nothing' => [' ', null];
        yield 'very long' => [str_repeat('9', 40), null];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Text;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Text\ArabicForms;
use Telamon\Core\Text\VisualOrder;

final class VisualOrderTest extends TestCase
{
    /** The first two after the examples of UAX #9, 3.4 (there in capitals, here in Hebrew letters); the rest by hand. */
    #[DataProvider('lines')]
    public function testTextIsInTheOrderInWhichItIsDrawn(string $logical, string $visual): void
    {
        self::assertSame($visual, VisualOrder::of($logical));
    }

    /** @return iterable<string, array{string, string}> */
    public static function lines(): iterable
    {
        yield 'right to left in a line from left to right' => ['car is אבג דה in x', 'car is הד גבא in x'];
        yield 'left to right in a line from right to left' => ['אבג car דה', 'הד car גבא'];
        yield 'figures are read from left to right' => ['אבג 12 דה', 'הד 12 גבא'];
        yield 'figures among them, in a line from left to right' => ['x אב 12 גד y', 'x דג 12 בא y'];
        yield 'a day in figures stays whole' => ['אבג 12/6/2027', '12/6/2027 גבא'];
        yield 'brackets look the other way' => ['אב (גד)', '(דג) בא'];
        yield 'nothing of the kind' => ["Séamus (7)\nline", "Séamus (7)\nline"];
        yield 'lines stay lines' => ["אב\nab", "בא\nab"];
    }

    /** سلام: seen, lam with alef, meem; the code points from the code chart of Arabic Presentation Forms-B. */
    public function testArabicLettersJoin(): void
    {
        self::assertSame("\u{FEB3}\u{FEFC}\u{FEE1}", ArabicForms::of('سلام'));
        self::assertSame("\u{FE91}\u{FEF4}\u{FE96}", ArabicForms::of('بيت'));
        self::assertSame("\u{FEE1}\u{FEFC}\u{FEB3}", VisualOrder::of('سلام'));
        self::assertSame("\u{FED5}", ArabicForms::of('ق'));
    }
}

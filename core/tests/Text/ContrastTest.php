<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Text;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Text\Contrast;

final class ContrastTest extends TestCase
{
    /**
     * Values that WCAG 2.2 itself gives in its Understanding documents: black on white is 21 : 1; #777777 on white is
     * 4.48 : 1, too little, and #767676 the lightest grey that passes (Understanding 1.4.3).
     */
    #[DataProvider('published')]
    public function testItIsAsPublished(string $one, string $other, float $ratio): void
    {
        self::assertEqualsWithDelta($ratio, Contrast::ratio($one, $other), 0.005);
        self::assertSame(Contrast::ratio($one, $other), Contrast::ratio($other, $one), 'either way round');
    }

    /** @return iterable<string, array{string, string, float}> */
    public static function published(): iterable
    {
        yield 'black on white' => ['#000000', '#FFFFFF', 21.0];
        yield 'white on white' => ['#FFFFFF', '#ffffff', 1.0];
        yield 'a grey just too light' => ['#777777', '#FFFFFF', 4.48];
        yield 'the lightest grey that passes' => ['#767676', '#FFFFFF', 4.54];
    }

    public function testTheNearestShadeThatIsReadIsFound(): void
    {
        self::assertSame('#1E4D57', Contrast::darkened('#1E4D57', '#F3EFE6'), 'as it is where it can be read');
        $red = Contrast::darkened('#FF6666', '#F3EFE6');
        self::assertGreaterThanOrEqual(Contrast::READABLE, Contrast::ratio($red, '#F3EFE6'));
        self::assertLessThan(Contrast::READABLE + 0.2, Contrast::ratio($red, '#F3EFE6'), 'no darker than needed');
        self::assertSame('#000000', Contrast::darkened('#333333', '#000000'), 'no darker shade is read on black');
    }

    public function testWhatIsNoColourIsRefused(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        Contrast::ratio('sea', '#FFFFFF');
    }
}

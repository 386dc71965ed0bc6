<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Quotes;

use Brick\Math\BigDecimal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Quotes\Arithmetic;
use Telamon\Core\Quotes\Shares;
use Telamon\Core\Quotes\SumsReader;
use Telamon\Core\Quotes\UnreadableSums;

/** The sums of quotes. The rules are those of EN 16931-1 by their numbers; the figures of the examples are worked out by hand beside them. */
final class ArithmeticTest extends TestCase
{
    public function testTenThousandMadeQuotesComeOutAsByPythonsDecimal(): void
    {
        $made = shell_exec('/usr/bin/python3 '.escapeshellarg(__DIR__.'/reference.py').' 20261127 10000');
        self::assertIsString($made);
        $quotes = json_decode($made, true, 16, \JSON_THROW_ON_ERROR);
        self::assertIsArray($quotes);
        self::assertCount(10_000, $quotes);
        [$reader, $arithmetic] = [new SumsReader(), new Arithmetic()];
        foreach ($quotes as $i => $quote) {
            self::assertIsArray($quote);
            if ($quote['out'] !== ($sums = $arithmetic->of($reader->read($quote['in']))->toArray())) {
                self::assertSame($quote['out'], $sums, "quote $i: ".json_encode($quote['in']));
            }
        }
    }

    public function testTheSumsFollowTheRulesOfTheStandard(): void
    {
        $sums = self::sums([
            'lines' => [self::line('2', '10.01', '23'), self::line('1', '0.99', '23'), self::line('3', '45.50', '13.5', ['discount_percent' => '10'])],
            'allowances' => [['amount' => '1.00', 'vat' => self::vat('23')]],
            'charges' => [['percent' => '5', 'vat' => self::vat('13.5')]],
        ]);
        // BR-CO-10: the sum of the lines is what the lines say. 20.02 + 0.99 + 122.85.
        self::assertSame([['net' => '20.02'], ['net' => '0.99'], ['net' => '122.85']], $sums['lines']);
        // BR-CO-11, BR-CO-12: allowances and charges are added up by themselves. 5 % of 122.85 is 6.1425.
        // BR-CO-13: net = 143.86 − 1.00 + 6.14; BR-CO-18: a line of VAT for each category and rate.
        self::assertSame('149.00', $sums['net']);
        self::assertSame(
            [['category' => 'S', 'rate' => '23', 'taxable' => '20.01', 'tax' => '4.60'], ['category' => 'S', 'rate' => '13.5', 'taxable' => '128.99', 'tax' => '17.41']],
            $sums['vat'],
        );
        // BR-CO-17: 20.01 × 23 % = 4.6023, 128.99 × 13.5 % = 17.41365; BR-CO-14: their sum; BR-CO-15: net and tax.
        self::assertSame(['22.01', '171.01'], [$sums['tax'], $sums['total']]);
        // BR-CO-16: what is due is the total less what is paid: the instalments are all of it.
        self::assertSame(
            '171.01',
            (string) BigDecimal::sum(...array_map(
                BigDecimal::of(...),
                self::texts(self::sums([
                    'lines' => [self::line('1', '171.01', '0')],
                    'instalments' => [['percent' => '30'], ['percent' => '30'], ['percent' => '40']],
                ])['instalments']),
            )),
        );
    }

    public function testTaxIsRoundedOnceACategoryAndNotALine(): void
    {
        // Three lines of 0.10 at 13.5 %: 0.0135 each would be 0.01 three times; together 0.0405 is 0.04.
        self::assertSame('0.04', self::sums(['lines' => array_fill(0, 3, self::line('1', '0.10', '13.5'))])['tax']);
    }

    public function testWithPricesThatHoldTheTaxNetAndTaxAreThePriceShown(): void
    {
        // 100 ÷ 1.23 = 81.30081…; the tax is the rest, whatever 81.30 × 23 % = 18.699 would be.
        $sums = self::sums(['prices' => 'gross', 'lines' => [self::line('1', '100', '23')]]);
        self::assertSame(['81.30', '18.70', '100.00'], [$sums['net'], $sums['tax'], $sums['total']]);
        // 0.02 at 23 %: 0.0163 is 0.02, so that nothing is left; by BR-CO-17 it would be 0.00 as well. At 50 %: 0.03 ÷ 1.5.
        self::assertSame('0.03', self::sums(['prices' => 'gross', 'lines' => [self::line('1', '0.03', '50')]])['total']);
    }

    public function testHalfACentIsRoundedAwayFromZero(): void
    {
        self::assertSame(
            [['net' => '0.01'], ['net' => '-0.01'], ['net' => '0.00']],
            self::sums(['lines' => [self::line('1', '0.005', '0'), self::line('-1', '0.005', '0'), self::line('1', '0.0049', '0')]])['lines'],
        );
    }

    public function testAnOptionThatIsNotTickedIsShownAndNotSummed(): void
    {
        $sums = self::sums(['lines' => [
            self::line('1', '10', '23', ['optional' => true]),
            self::line('1', '5', '9', ['optional' => true, 'ticked' => true]),
            self::line('1', '7', '23', ['ticked' => false]),
        ]]);
        self::assertSame([['net' => '10.00'], ['net' => '5.00'], ['net' => '7.00']], $sums['lines']);
        self::assertSame('12.00', $sums['net']);
        self::assertSame(['9', '23'], array_column(self::maps($sums['vat']), 'rate'), 'in the order in which those that count come');
    }

    public function testADepositIsNeverMoreThanTheTotalAndInstalmentsLoseNoCent(): void
    {
        self::assertSame('10.00', self::sums(['lines' => [self::line('1', '10', '0')], 'deposit' => ['amount' => '50']])['deposit']);
        self::assertSame('0.00', self::sums(['lines' => [self::line('-1', '10', '0')]])['deposit']);
        self::assertSame(
            ['0.03', '0.03', '0.04'],
            self::sums([
                'lines' => [self::line('1', '0.10', '0')],
                'instalments' => [['percent' => '33.3333333333'], ['percent' => '33.3333333333'], ['percent' => '33.3333333334']],
            ])['instalments'],
        );
        self::assertSame(
            ['0.34', '0.33', '0.33'],
            array_map(strval(...), Shares::of(BigDecimal::of('1.00'), [BigDecimal::of('33.5'), BigDecimal::of('33.25'), BigDecimal::of('33.25')])),
        );
        self::assertSame(['-0.01', '-0.02'], array_map(strval(...), Shares::of(BigDecimal::of('-0.03'), [BigDecimal::of('50'), BigDecimal::of('50')])), 'a sum below nothing, too: the cent goes to the earlier');
    }

    public function testAThousandLinesAndAThousandMillionPiecesAreReckoned(): void
    {
        self::assertSame('45500000000000.00', self::sums(['lines' => array_fill(0, 1000, self::line('1000000000', '45.50', '0'))])['net']);
        self::assertSame('15.17', self::sums(['lines' => [self::line('0.3333', '45.50', '0')]])['net']);
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('wrong')]
    public function testWhatCannotBeReckonedIsNamed(array $wrong, string $begins): void
    {
        $this->expectException(UnreadableSums::class);
        $this->expectExceptionMessageMatches('/^'.preg_quote($begins, '/').'/');
        self::sums($wrong);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no currency' => [['currency' => 'EURO'], 'currency: '];
        yield 'a metal' => [['currency' => 'XAU'], 'currency: '];
        yield 'neither net nor gross' => [['prices' => 'both'], 'prices: '];
        yield 'no lines' => [['lines' => null], 'lines: '];
        yield 'a figure that is no text' => [['lines' => [self::line('1', '1', '0', ['price' => 45.5])]], 'lines.0.price: '];
        yield 'words' => [['lines' => [self::line('some', '1', '0')]], 'lines.0.quantity: '];
        yield 'an exponent' => [['lines' => [self::line('1e3', '1', '0')]], 'lines.0.quantity: '];
        yield 'a price below nothing' => [['lines' => [self::line('1', '-1', '0')]], 'lines.0.price: '];
        yield 'more than all off' => [['lines' => [self::line('1', '1', '0', ['discount_percent' => '101'])]], 'lines.0.discount_percent: '];
        yield 'no category' => [['lines' => [self::line('1', '1', '0', ['vat' => ['category' => 'X', 'rate' => '0']])]], 'lines.0.vat.category: '];
        yield 'a rate below nothing' => [['lines' => [self::line('1', '1', '-5')]], 'lines.0.vat.rate: '];
        yield 'ticked is a word' => [['lines' => [self::line('1', '1', '0', ['ticked' => 'yes'])]], 'lines.0.ticked: '];
        yield 'instalments of 99 %' => [['instalments' => [['percent' => '50'], ['percent' => '49']]], 'instalments: the percents add up to 99'];
        yield 'an instalment below nothing' => [['instalments' => [['percent' => '150'], ['percent' => '-50']]], 'instalments.0.percent: '];
    }

    /**
     * @param array<string, mixed> $said
     *
     * @return array<string, mixed>
     */
    private static function sums(array $said): array
    {
        return (new Arithmetic())->of((new SumsReader())->read($said + ['currency' => 'EUR', 'prices' => 'net', 'lines' => []]))->toArray();
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    private static function line(string $quantity, string $price, string $rate, array $more = []): array
    {
        return $more + ['quantity' => $quantity, 'price' => $price, 'vat' => self::vat($rate)];
    }

    /** @return array{category: string, rate: string} */
    private static function vat(string $rate): array
    {
        return ['category' => '0' === $rate ? 'Z' : 'S', 'rate' => $rate];
    }

    /** @return list<string> */
    private static function texts(mixed $list): array
    {
        self::assertIsArray($list);

        return array_values(array_filter($list, \is_string(...)));
    }

    /** @return list<array<array-key, mixed>> */
    private static function maps(mixed $list): array
    {
        self::assertIsArray($list);

        return array_values(array_filter($list, \is_array(...)));
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Quotes;

use Brick\Math\BigDecimal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Quotes\Content;
use Telamon\Core\Quotes\ContentReader;
use Telamon\Core\Quotes\Currency;
use Telamon\Core\Quotes\Payment;
use Telamon\Core\Quotes\PaymentKind;
use Telamon\Core\Quotes\Payments;

/** Worked out by hand: a quote over 446.00 with tax, paid in every way that it can be agreed. */
final class PaymentsTest extends TestCase
{
    /**
     * @param array<string, mixed> $with
     * @param list<string> $paid
     */
    #[DataProvider('ways')]
    public function testAllPaymentsAreTheTotalAndTheDepositIsTheFirst(array $with, array $paid): void
    {
        $content = self::content($with);
        $totals = $content->totals(Currency::of('EUR'), true);
        $payments = Payments::of($content, $totals);
        self::assertSame(
            $paid,
            array_map(
                static fn (Payment $one): string => [
                    PaymentKind::Deposit->name => 'deposit',
                    PaymentKind::Instalment->name => 'part',
                    PaymentKind::Rest->name => 'rest',
                ][$one->kind->name]." {$one->amount}".($one->isLess ? ' less' : ''),
                $payments,
            ),
        );
        if ([] !== $payments) {
            self::assertSame('446.00', (string) BigDecimal::sum(...array_map(static fn (Payment $one): BigDecimal => $one->amount, $payments)));
        }
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>}> */
    public static function ways(): iterable
    {
        $parts = static fn (string ...$percents): array => array_map(static fn (string $percent): array => ['percent' => $percent, 'when' => 'then'], $percents);
        yield 'nothing agreed' => [[], []];
        yield 'a deposit alone' => [['deposit' => ['percent' => '20', 'amount' => null]], ['deposit 89.20', 'rest 356.80']];
        yield 'all of it before' => [['deposit' => ['percent' => '100', 'amount' => null]], ['deposit 446.00']];
        yield 'in halves' => [['instalments' => $parts('50', '50')], ['part 223.00', 'part 223.00']];
        yield 'a deposit, then in halves' => [
            ['deposit' => ['percent' => '20', 'amount' => null], 'instalments' => $parts('50', '50')],
            ['deposit 89.20', 'part 133.80 less', 'part 223.00'],
        ];
        yield 'a deposit that is the first part' => [
            ['deposit' => ['percent' => null, 'amount' => '223.00'], 'instalments' => $parts('50', '50')],
            ['deposit 223.00', 'part 223.00'],
        ];
        yield 'a deposit over the first part' => [
            ['deposit' => ['percent' => null, 'amount' => '200.00'], 'instalments' => $parts('25', '25', '50')],
            ['deposit 200.00', 'part 23.00 less', 'part 223.00'],
        ];
    }

    /** @param array<string, mixed> $with */
    private static function content(array $with): Content
    {
        return (new ContentReader())->read(['lines' => [[
            'key' => 'a',
            'name' => 'Regulation',
            'quantity' => '1',
            'price' => '446.00',
            'vat' => ['category' => 'S', 'rate' => '13.5'],
        ]]] + $with);
    }
}

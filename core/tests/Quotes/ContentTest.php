<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Quotes;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Quotes\Answered;
use Telamon\Core\Quotes\Chance;
use Telamon\Core\Quotes\Content;
use Telamon\Core\Quotes\ContentReader;
use Telamon\Core\Quotes\Currency;
use Telamon\Core\Quotes\InvalidContent;
use Telamon\Core\Quotes\Priced;
use Telamon\Core\Quotes\Pricing;
use Telamon\Core\Quotes\PricingRow;
use Telamon\Core\Quotes\QuoteLine;
use Telamon\Core\Quotes\Vat;

/** What a quote says: choices, alternatives, what keeps it from being sent; lines from answers; the chance of a yes. */
final class ContentTest extends TestCase
{
    public function testAlternativesStandForEachOtherAndOnlyOneIsSummed(): void
    {
        $content = self::content([self::line('a', '96'), self::line('b', '868', ['instead' => 'a']), self::line('c', '50', ['optional' => true]), self::line('d', '10')]);
        self::assertSame('106.00', self::net($content), 'the first, as long as nobody chose');
        self::assertSame('878.00', self::net($content->choosing(['b'])));
        self::assertSame('156.00', self::net($content->choosing(['a', 'c'])));
        self::assertSame('106.00', self::net($content->choosing([])));
        // One that may be left out altogether is left out until it is chosen.
        $optional = self::content([self::line('a', '96', ['optional' => true]), self::line('b', '868', ['instead' => 'a', 'optional' => true]), self::line('d', '10')]);
        self::assertSame(['10.00', '878.00'], [self::net($optional), self::net($optional->choosing(['b']))]);
    }

    public function testFilesStayWithAChoiceAndNotWithACopy(): void
    {
        $file = '0190a1b2-0000-7000-8000-00000000000f';
        $content = self::content([self::line('a', '96', ['optional' => true])], ['attachments' => [$file, $file], 'intro' => 'As talked about.']);
        self::assertSame([$file], $content->attachments, 'each once');
        self::assertSame([$file], $content->choosing(['a'])->attachments, 'what is signed has what was sent');
        self::assertSame([[], 'As talked about.'], [$content->alone()->attachments, $content->alone()->intro]);
        self::assertEquals($content, (new ContentReader())->read($content->toArray()), 'kept and read again it is the same');
        $this->expectException(InvalidContent::class);
        self::content([], ['attachments' => ['../secret']]);
    }

    public function testThePriceListAsksAnotherPriceForManyOnlyWhereItsOwnStands(): void
    {
        $key = new Priced('key', 'Free a key', '', 'C62', '12.00', new Vat('S', '23'), '', [['from' => '20', 'price' => '9.50'], ['from' => '50', 'price' => '8.00']]);
        $other = static fn (string $quantity, ?string $price): ?string => $key->otherFor(self::content([self::line('a', $price, ['quantity' => $quantity])])->lines[0]);
        self::assertSame(
            [null, '9.50', null, '8.00', '12.00', null, null],
            [$other('19', '12'), $other('20', '12.00'), $other('49.5', '9.5'), $other('50', '9.50'), $other('3', '8'), $other('20', '11.00'), $other('20', null)],
        );
        self::assertNull((new Priced('carry', 'Carry', '', 'E48', null, new Vat('S', '23'), ''))->otherFor(self::content([self::line('a', '90')])->lines[0]));
    }

    /** @param list<string> $keys */
    #[DataProvider('impossible')]
    public function testWhatCannotBeChosenIsRefused(array $keys): void
    {
        $this->expectException(InvalidContent::class);
        self::content([self::line('a', '96'), self::line('b', '868', ['instead' => 'a']), self::line('d', '10')])->choosing($keys);
    }

    /** @return iterable<string, array{list<string>}> */
    public static function impossible(): iterable
    {
        yield 'both of two' => [['a', 'b']];
        yield 'one that is no choice' => [['d']];
        yield 'one that is not there' => [['x']];
    }

    public function testALineToPriceIsNotSummedAndKeepsTheQuoteHere(): void
    {
        $content = self::content([self::line('a', '96'), self::line('b', null), self::line('c', '5', ['vat' => ['category' => 'E', 'rate' => '0']])]);
        self::assertSame('101.00', self::net($content));
        self::assertSame(['lines.1.price', 'reason'], array_column($content->missing(), 'path'));
        self::assertSame([], self::content([self::line('c', '5', ['vat' => ['category' => 'E', 'rate' => '0']])], ['reason' => 'Teaching, section 61'])->missing());
        self::assertSame(['lines'], array_column(self::content([])->missing(), 'path'));
        self::assertSame(
            ['lines.0.vat', 'lines.1.vat'],
            array_column(
                self::content([
                    self::line('a', '1', ['vat' => ['category' => 'S', 'rate' => '0']]),
                    self::line('b', '1', ['vat' => ['category' => 'Z', 'rate' => '9']]),
                ])->missing(),
                'path',
            ),
            'BR-S-5, BR-Z-5',
        );
    }

    public function testWhatIsKeptIsReadAsItWas(): void
    {
        $content = self::content(
            [self::line('a', '96.0050', ['offPercent' => '12,5', 'quantity' => '0.3333'])],
            [
                'deposit' => ['percent' => '20'],
                'instalments' => [['percent' => '50', 'when' => 'work begins'], ['percent' => '50', 'when' => 'ready']],
                'allowances' => [['name' => 'Client since 2023', 'percent' => '5', 'vat' => ['category' => 'S', 'rate' => '23']]],
            ],
        );
        self::assertEquals($content, (new ContentReader())->read($content->toArray()));
        self::assertSame('12.5', $content->lines[0]->offPercent);
    }

    /**
     * @param array<array-key, mixed> $wrong
     */
    #[DataProvider('wrong')]
    public function testWhatCannotBeIsNamedByItsPlace(array $wrong, string $path): void
    {
        try {
            (new ContentReader())->read($wrong);
            self::fail($path);
        } catch (InvalidContent $error) {
            self::assertSame($path, $error->path);
        }
    }

    /** @return iterable<string, array{array<array-key, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no name' => [['lines' => [['name' => ''] + self::line('a', '1')]], 'lines.0.name'];
        yield 'a price in words' => [['lines' => [self::line('a', 'much')]], 'lines.0.price'];
        yield 'a price below nothing (BR-27)' => [['lines' => [self::line('a', '-1')]], 'lines.0.price'];
        yield 'more off than there is' => [['lines' => [self::line('a', '1', ['offPercent' => '120'])]], 'lines.0.offPercent'];
        yield 'a unit that is none' => [['lines' => [self::line('a', '1', ['unit' => 'XXX'])]], 'lines.0.unit'];
        yield 'two lines of one key' => [['lines' => [self::line('a', '1'), self::line('a', '2')]], 'lines.1'];
        yield 'standing for one that stands for another' => [['lines' => [self::line('a', '1', ['instead' => 'b']), self::line('b', '1', ['instead' => 'a'])]], 'lines.0.instead'];
        yield 'payments of 90 %' => [['instalments' => [['percent' => '90', 'when' => 'now']]], 'instalments'];
        yield 'a thousand and one lines' => [['lines' => array_fill(0, 1001, [])], 'lines'];
    }

    public function testAnswersBecomeLinesThatSayWhereTheyCameFrom(): void
    {
        $vat = new Vat('S', '13.5');
        $prices = [
            'visit' => new Priced('visit', 'First visit', '', 'E48', '65.00', $vat, 'The work'),
            'string' => new Priced('string', 'Bass string', '', 'C62', '48.00', $vat, 'The work', [['from' => '10', 'price' => '31.00']]),
            'clean' => new Priced('clean', 'Clean inside', '', 'C62', '70.00', $vat, 'Add if you like'),
        ];
        $table = [
            new PricingRow('repair', '', '', 'visit', '', '1', false),
            new PricingRow('', 'strings', '', 'string', 'strings', '1', false),
            new PricingRow('repair', 'extras', 'clean', 'clean', '', '1', true),
            new PricingRow('', 'place', 'steps', '', '', '1', false),
            new PricingRow('tuning', '', '', 'visit', '', '1', false),
        ];
        $answers = [
            'strings' => new Answered('How many strings?', '12'),
            'extras' => new Answered('What else?', 'Clean it inside', ['clean']),
            'place' => new Answered('Where is it?', '7 Weir Cottages. Three steps up.'),
        ];
        $told = static fn (array $lines): array => array_map(
            static fn (QuoteLine $line): array => [$line->name, $line->quantity, $line->price, $line->optional, $line->from],
            array_values(array_filter($lines, static fn (mixed $line): bool => $line instanceof QuoteLine)),
        );
        self::assertSame([
            ['First visit', '1', '65.00', false, 'service: Repair'],
            ['Bass string', '12', '31.00', false, 'How many strings? 12'],
            ['Clean inside', '1', '70.00', true, 'What else? Clean it inside'],
            ['7 Weir Cottages. Three steps up.', '1', null, false, 'Where is it? 7 Weir Cottages. Three steps up.'],
        ], $told((new Pricing())->lines($table, $prices, $answers, 'repair', 'Repair', $vat)));
        $some = $told((new Pricing())->lines([$table[1]], $prices, ['strings' => new Answered('How many strings?', 'two or three')], 'repair', 'Repair', $vat));
        self::assertSame([['Bass string', '1', '48.00', false, 'How many strings? two or three (how many could not be read)']], $some);
    }

    public function testTheChanceOfAYesIsAnInterval(): void
    {
        // Worked out by the formula for 22 of 47: middle 0.4702, half 0.1373.
        [$from, $to] = (new Chance(22, 47))->interval() ?? [0, 0];
        self::assertEqualsWithDelta(0.3330, $from, 0.0005);
        self::assertEqualsWithDelta(0.6078, $to, 0.0005);
        self::assertSame([true, false], [(new Chance(3, 19))->isGuess(), (new Chance(3, 20))->isGuess()]);
        self::assertNull((new Chance(0, 0))->interval());
        self::assertSame(0.0, ((new Chance(0, 5))->interval() ?? [1])[0]);
    }

    /**
     * @param list<array<string, mixed>> $lines
     * @param array<string, mixed> $more
     */
    private static function content(array $lines, array $more = []): Content
    {
        return (new ContentReader())->read(['lines' => $lines] + $more);
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    private static function line(string $key, ?string $price, array $more = []): array
    {
        return $more + ['key' => $key, 'name' => "Line $key", 'quantity' => '1', 'price' => $price, 'vat' => ['category' => 'Z', 'rate' => '0']];
    }

    private static function net(Content $content): string
    {
        return (string) $content->totals(Currency::of('EUR'), false)->net;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Quotes;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Quotes\Content;
use Telamon\Core\Quotes\ContentReader;
use Telamon\Core\Quotes\Differences;

/** Whatever differs between two revisions is told: nothing that somebody signs changes unsaid. */
final class DifferencesTest extends TestCase
{
    private const LINE = [
        'key' => 'a',
        'code' => 'reg',
        'name' => 'Regulation',
        'text' => 'All 88 keys.',
        'quantity' => '1',
        'unit' => 'E48',
        'price' => '300.00',
        'vat' => ['category' => 'S', 'rate' => '13.5'],
        'group' => 'The work',
    ];
    private const OTHER = [
        'key' => 'b',
        'name' => 'Strings',
        'quantity' => '2',
        'unit' => 'C62',
        'price' => '48.00',
        'vat' => ['category' => 'S', 'rate' => '13.5'],
        'optional' => true,
    ];

    /**
     * @param array<string, mixed> $change
     * @param list<string> $told
     */
    #[DataProvider('changes')]
    public function testEachIsTold(array $change, array $told): void
    {
        self::assertSame($told, Differences::between(self::content(), self::content($change)));
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>}> */
    public static function changes(): iterable
    {
        $line = static fn (array $with): array => ['lines' => [$with + self::LINE, self::OTHER]];
        yield 'nothing' => [[], []];
        yield 'a price' => [$line(['price' => '310.00']), ['Changed: Regulation: 310.00 each (before 300.00 each)']];
        yield 'to be priced' => [$line(['price' => null]), ['Changed: Regulation: to price (before 300.00 each)']];
        yield 'how many' => [$line(['quantity' => '2']), ['Changed: Regulation: 2 visits (before 1 visit)']];
        yield 'by what' => [$line(['unit' => 'HUR']), ['Changed: Regulation: 1 hour (before 1 visit)']];
        yield 'its name' => [$line(['name' => 'Full regulation']), ['Changed: Full regulation: called “Full regulation” (before “Regulation”)']];
        yield 'what it says' => [$line(['text' => 'The middle octaves.']), ['Changed: Regulation: what it says: “The middle octaves.” (before: “All 88 keys.”)']];
        yield 'what it says, at length' => [$line(['text' => str_repeat('Every key. ', 20)]), ['Changed: Regulation: what it says: written anew']];
        yield 'what it says, no more' => [$line(['text' => '']), ['Changed: Regulation: what it says: gone']];
        yield 'a discount' => [$line(['offPercent' => '10', 'offAmount' => '5.00']), ['Changed: Regulation: discount 10 % and 5.00 (before none)']];
        yield 'a rate' => [$line(['vat' => ['category' => 'S', 'rate' => '23']]), ['Changed: Regulation: VAT 23 % (before 13.5 %)']];
        yield 'a category' => [$line(['vat' => ['category' => 'E', 'rate' => '0']]), ['Changed: Regulation: VAT exempt (before 13.5 %)']];
        yield 'its head' => [$line(['group' => '']), ['Changed: Regulation: under none (before “The work”)']];
        yield 'a choice' => [$line(['optional' => true]), ['Changed: Regulation: may be left out (before is part of it)']];
        yield 'what is chosen at first' => [['lines' => [self::LINE, ['ticked' => true] + self::OTHER]], ['Changed: Strings: chosen (before not chosen)']];
        yield 'another in its place' => [
            ['lines' => [self::LINE, ['instead' => 'a', 'optional' => false] + self::OTHER]],
            ['Changed: Strings: stands for Regulation (before may be left out)'],
        ];
        yield 'a line more' => [['lines' => [self::LINE, self::OTHER, ['key' => 'c', 'name' => 'Felt'] + self::OTHER]], ['New: Felt, 2 × 48.00']];
        yield 'a line less' => [['lines' => [self::LINE]], ['Gone: Strings, 2 × 48.00']];
        yield 'the order' => [['lines' => [self::OTHER, self::LINE]], ['The lines stand in another order.']];
        yield 'off the whole' => [
            ['allowances' => [['name' => 'Loyalty', 'percent' => '5', 'amount' => null, 'vat' => ['category' => 'S', 'rate' => '13.5']]]],
            ['New, off the whole: Loyalty, 5 %, VAT 13.5 %'],
        ];
        yield 'on top' => [
            ['charges' => [['name' => 'Travel', 'percent' => null, 'amount' => '20.00', 'vat' => ['category' => 'S', 'rate' => '23']]]],
            ['New, on top: Travel, 20.00, VAT 23 %'],
        ];
        yield 'the deposit' => [['deposit' => ['percent' => '30', 'amount' => null]], ['Deposit: 30 % (before: 20 %)']];
        yield 'no deposit' => [['deposit' => ['percent' => null, 'amount' => null]], ['Deposit: none (before: 20 %)']];
        yield 'in parts' => [
            ['instalments' => [['percent' => '50', 'when' => 'at once'], ['percent' => '50', 'when' => '']]],
            ['Paid in parts: 50 %, at once; 50 % (before: none)'],
        ];
        yield 'the terms' => [['terms' => 'Two years of guarantee.'], ['Terms: “Two years of guarantee.” (before: “One year of guarantee.”)']];
        yield 'the words' => [['intro' => 'As you asked.'], ['Words to you: “As you asked.”']];
        yield 'why there is no VAT' => [['reason' => 'Small business.'], ['Why there is no VAT: “Small business.”']];
        yield 'files' => [['attachments' => ['0195f4f8-0000-7000-8000-000000000001']], ['Other files go with it.']];
    }

    /** @param array<string, mixed> $change */
    private static function content(array $change = []): Content
    {
        return (new ContentReader())->read($change + [
            'lines' => [self::LINE, self::OTHER],
            'deposit' => ['percent' => '20', 'amount' => null],
            'terms' => 'One year of guarantee.',
        ]);
    }
}

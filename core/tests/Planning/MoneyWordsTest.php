<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Planning\Inquiry;
use Telamon\Core\Planning\MoneyWords;
use Telamon\Core\Planning\Naming;
use Telamon\Core\Planning\RuleLines;
use Telamon\Core\Tests\Fixtures;

final class MoneyWordsTest extends TestCase
{
    #[DataProvider('amounts')]
    public function testAnAmountCarriesItsCurrency(string $text, string $currency, string $words, string $type = 'money'): void
    {
        $readings = Fixtures::reader()->read(self::form($type), ['budget' => $text]);
        self::assertSame($words, MoneyWords::of($readings->all[0], $currency));
    }

    /** @return iterable<string, array{0: string, 1: string, 2: string, 3?: string}> */
    public static function amounts(): iterable
    {
        yield 'figures' => ['400', 'EUR', '€400'];
        yield 'figures with places' => ['1.250,50', 'EUR', '€1.250,50'];
        yield 'words' => ['about 400', 'EUR', 'about 400 EUR'];
        yield 'a currency without a sign' => ['400', 'CHF', '400 CHF'];
        yield 'it names one' => ['£400', 'EUR', '£400'];
        yield 'no amount' => ['not much', 'EUR', 'not much'];
        yield 'nobody knows which' => ['400', '', '400'];
        yield 'no currency at all' => ['400', 'ZZZ', '400'];
        yield 'a number is no money' => ['400', 'EUR', '400', 'number'];
    }

    public function testWhatRulesAndTasksSayCarriesItToo(): void
    {
        $readings = Fixtures::reader()->read(self::form('money'), ['budget' => '400']);
        $now = Fixtures::context(Fixtures::input(), naming: new Naming('piano', [], 'GBP'), inquiry: new Inquiry($readings));
        self::assertSame('£400', RuleLines::fields($now)['budget']);
    }

    private static function form(string $kind): FormDefinition
    {
        return FormDefinition::fromArray(['pages' => [['key' => 'p', 'questions' => [['key' => 'budget', 'type' => $kind]]]]]);
    }
}

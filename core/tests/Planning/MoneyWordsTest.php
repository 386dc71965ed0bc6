<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Effects\SetField;
use Telamon\Core\Form\CustomField;
use Telamon\Core\Form\CustomKind;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Planning\Inquiry;
use Telamon\Core\Planning\MoneyWords;
use Telamon\Core\Planning\Naming;
use Telamon\Core\Planning\RuleLines;
use Telamon\Core\Planning\Ruling;
use Telamon\Core\Rules\Circumstances;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleReader;
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

    public function testAFieldThatHoldsANumberGetsTheNumber(): void
    {
        $naming = new Naming(
            'piano',
            [
                'custom.project.sum' => new CustomField('project', 'sum', 'Sum', CustomKind::Number),
                'custom.project.note' => new CustomField('project', 'note', 'Note', CustomKind::Text),
            ],
            'EUR',
        );
        $sets = static fn (string $field): array => ['kind' => 'field', 'record' => 'project', 'field' => "custom.$field", 'value' => '{{budget}}'];
        $book = new RuleBook([(new RuleReader())->read('r', ['name' => 'Sum up', 'then' => [$sets('sum'), $sets('note')]])]);
        $ruling = new Ruling($book, new Circumstances('inquiry', [], '2026-11-25'));
        $plan = Fixtures::planner()->plan(Fixtures::context(
            Fixtures::input(),
            $ruling,
            $naming,
            inquiry: new Inquiry(Fixtures::reader()->read(self::form('money'), ['budget' => '1.250,50'])),
        ));
        $set = [];
        foreach ($plan->lines as $line) {
            if ($line->effect instanceof SetField) {
                $set[] = Fixtures::value($line->effect, 'value');
            }
        }
        self::assertSame(['1250.50', '€1.250,50'], $set);
    }

    private static function form(string $kind): FormDefinition
    {
        return FormDefinition::fromArray(['pages' => [['key' => 'p', 'questions' => [['key' => 'budget', 'type' => $kind]]]]]);
    }
}

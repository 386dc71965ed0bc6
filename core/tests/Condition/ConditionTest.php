<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Condition;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Condition\ConditionReader;
use Telamon\Core\Condition\Facts;
use Telamon\Core\Condition\InvalidCondition;
use Telamon\Core\Condition\Operator;
use Telamon\Core\Condition\Test;
use Telamon\Core\Rules\Circumstances;
use Telamon\Core\Time\DayOrder;

final class ConditionTest extends TestCase
{
    public function testDaysInWordsCountWhereTheServerAloneAsks(): void
    {
        $wanted = new Test('by', Operator::WithinDays, ['30']);
        $facts = static fn (string $text, bool $inWords = true): Facts => new Facts(['by' => $text], '2026-11-25', DayOrder::Unstated, $inWords);
        self::assertTrue($wanted->holds($facts('in three weeks')));
        self::assertTrue($wanted->holds($facts('next week')), 'the first day of a span');
        self::assertTrue($wanted->holds($facts('19 Dec')));
        self::assertFalse($wanted->holds($facts('19 Jan')));
        self::assertFalse($wanted->holds($facts('04/12')), 'it could be two');
        self::assertFalse($wanted->holds($facts('19 Dec', false)), 'a form asks by what is written out');
        self::assertTrue($wanted->holds((new Circumstances('inquiry', ['by' => 'in three weeks'], '2026-11-25'))->facts()), 'rules and checklists read words');
    }

    /**
     * The file that the browser's evaluator is held to as well.
     *
     * @param array<mixed> $condition
     * @param array<string, mixed> $answers
     */
    #[DataProvider('cases')]
    public function testTheSharedCases(array $condition, array $answers, string $order, string $today, bool $expected): void
    {
        self::assertSame($expected, ConditionReader::read($condition)->holds(new Facts($answers, $today, DayOrder::from($order))));
    }

    /** @return iterable<string, array{array<mixed>, array<string, mixed>, string, string, bool}> */
    public static function cases(): iterable
    {
        /** @var array{today: string, cases: list<array{condition: array<mixed>, answers: array<string, mixed>, order?: string, expected: bool}>} $file */
        $file = json_decode((string) file_get_contents(\dirname(__DIR__, 3).'/tests/fixtures/conditions.json'), true, 32, \JSON_THROW_ON_ERROR);
        self::assertGreaterThanOrEqual(150, \count($file['cases']));
        foreach ($file['cases'] as $i => $case) {
            yield $i.' '.json_encode([$case['condition'], $case['answers']], \JSON_UNESCAPED_UNICODE) => [
                $case['condition'],
                $case['answers'],
                $case['order'] ?? 'unstated',
                $file['today'],
                $case['expected'],
            ];
        }
    }

    /** @param array<mixed> $condition */
    #[DataProvider('wrongConditions')]
    public function testAWrongConditionSaysWhy(array $condition, string $words): void
    {
        $this->expectException(InvalidCondition::class);
        $this->expectExceptionMessage($words);
        ConditionReader::read($condition);
    }

    /** @return iterable<string, array{array<mixed>, string}> */
    public static function wrongConditions(): iterable
    {
        yield 'nothing' => [[], 'names a question'];
        yield 'an unknown way of asking' => [['question' => 'q', 'op' => 'smells-like', 'value' => 'x'], '“q”: this way of asking'];
        yield 'no value' => [['question' => 'q', 'op' => 'is'], '“q”: is needs a value'];
        yield 'one value of two' => [['question' => 'q', 'op' => 'between', 'value' => '1'], 'needs two values'];
        yield 'a value that is no text' => [['question' => 'q', 'op' => 'is', 'value' => 7], 'written as text'];
        yield 'all of no list' => [['all' => 'x'], 'need a list'];
        yield 'a part that is none' => [['all' => ['x']], 'each part is a condition'];
        yield 'not of nothing' => [['not' => 'x'], 'needs a condition'];
        $deep = ['question' => 'q', 'op' => 'is-blank'];
        for ($i = 0; $i < 10; ++$i) {
            $deep = ['not' => $deep];
        }
        yield 'too deep' => [$deep, 'at most 8 deep'];
        yield 'too many' => [['all' => array_fill(0, 51, ['question' => 'q', 'op' => 'is-blank'])], 'at most 50'];
    }

    public function testItTellsWhatItAsksAbout(): void
    {
        $condition = ConditionReader::read(['all' => [
            ['question' => 'a', 'op' => 'is-blank'],
            ['not' => ['question' => 'b', 'op' => 'is', 'value' => 'x']],
            ['question' => 'a', 'op' => 'is', 'value' => 'y'],
        ]]);
        self::assertSame(['a', 'b'], $condition->questions());
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Form;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Question;
use Telamon\Core\Text\Fold;
use Telamon\Core\Time\DayOrder;

/** Answers in order by what they mean, counted by what they say, found by what people see. */
final class OrderedTest extends TestCase
{
    public function testAmountsAsPeopleWriteThem(): void
    {
        self::assertSame(
            ['-3', '90', 'about 200', '999.99', '€1,200', '1.250,50', 'no idea'],
            self::sorted('money', ['1.250,50', 'about 200', '€1,200', 'no idea', '90', '999.99', '-3']),
        );
    }

    /** Compared with PHP's own comparing of numbers, over many of either sign and any length. */
    public function testDecimalsStandInTheOrderOfTheirSize(): void
    {
        mt_srand(7);
        $numbers = ['0', '-0.5', '-0.55', '-1', '-1.5', '-10', '0.05', '0.5', '1', '10', '9'];
        for ($i = 0; $i < 300; ++$i) {
            $numbers[] = ['', '-'][mt_rand(0, 1)].mt_rand(0, 10 ** mt_rand(0, 9)).['', '.'.mt_rand(1, 9), '.0'.mt_rand(1, 99)][mt_rand(0, 2)];
        }
        $numbers = array_values(array_unique(array_filter($numbers, static fn (string $n): bool => '-0' !== $n)));
        $bySize = $numbers;
        usort($bySize, static fn (string $a, string $b): int => (float) $a <=> (float) $b);
        self::assertSame(array_map(floatval(...), $bySize), array_map(floatval(...), self::sorted('number', $numbers)));
        self::assertSame(self::ordered('number', '1.50'), self::ordered('number', '1.5'));
    }

    public function testDaysAsPeopleWriteThem(): void
    {
        self::assertSame(['', '2026-12-24', '12 January 2027', '03/02/2027', 'soon'], self::sorted('day', ['12 January 2027', 'soon', '2026-12-24', '03/02/2027', '']));
    }

    public function testADayThatMayBeTwoStandsBehindTheDays(): void
    {
        self::assertSame('~03 02 2027', self::ordered('day', ' 03/02/2027 ', DayOrder::Unstated));
        self::assertSame('2027-02-03', self::ordered('day', '03/02/2027', DayOrder::DayFirst));
        self::assertSame('2027-03-02', self::ordered('day', '03/02/2027', DayOrder::MonthFirst));
        self::assertSame('', self::ordered('day', null));
    }

    public function testSpansAndDaysWithTimesStandByTheirDay(): void
    {
        self::assertSame('2027-02-03 2027 02 09', self::ordered('day-span', ['from' => '3 February 2027', 'to' => '2027-02-09']));
        self::assertSame('2027-02-03 14 30', self::ordered('day-time', ['day' => '3 February 2027', 'time' => '14:30']));
        self::assertSame('~whenever', self::ordered('day-span', ['from' => 'whenever']));
    }

    public function testWordsStandByTheirLettersWhateverTheirAccents(): void
    {
        self::assertSame(['anna', 'Bríd', 'Séamus', 'seamus b', 'Zoë'], self::sorted('short-text', ['Zoë', 'seamus b', 'anna', 'Séamus', 'Bríd']));
        self::assertSame('~', self::ordered('short-text', '!!'), 'an answer all the same');
        self::assertSame(120, \strlen(self::ordered('long-text', str_repeat('word ', 400))));
    }

    public function testChoicesByWhatPeopleSee(): void
    {
        $question = self::question('any-of', ['options' => [['value' => 'option_1', 'label' => 'Zither'], ['value' => 'option_2', 'label' => 'Accordéon']]]);
        self::assertSame('accordeon zither', $question->type->ordered($question, ['option_2', 'option_1'], DayOrder::Unstated));
        self::assertSame('accordeon', Fold::text($question->type->text($question, ['option_2'])));
        self::assertSame(['option_2', 'option_1'], $question->type->counted($question, ['option_2', ' option_1', '', 'option_2', 7]));
    }

    public function testNumbersAreCountedAsDecimals(): void
    {
        self::assertSame(['1250.5'], self::counted('money', '1.250,50'));
        self::assertSame(['no idea'], self::counted('money', ' no idea '));
        self::assertSame(['07'], self::counted('scale', '07'), 'as it was written');
        self::assertSame([], self::counted('number', '  '));
    }

    /**
     * @param list<string> $written
     *
     * @return list<string>
     */
    private static function sorted(string $type, array $written): array
    {
        usort($written, static fn (string $a, string $b): int => strcmp(self::ordered($type, $a, DayOrder::DayFirst), self::ordered($type, $b, DayOrder::DayFirst)));

        return $written;
    }

    private static function ordered(string $type, mixed $answer, DayOrder $order = DayOrder::Unstated): string
    {
        $question = self::question($type);

        return $question->type->ordered($question, $answer, $order);
    }

    /** @return list<string> */
    private static function counted(string $type, string $answer): array
    {
        $question = self::question($type);

        return $question->type->counted($question, $answer);
    }

    /** @param array<string, mixed> $more */
    private static function question(string $type, array $more = []): Question
    {
        return FormDefinition::fromArray(['pages' => [['questions' => [['key' => 'q', 'type' => $type] + $more]]]])->questions()[0];
    }
}

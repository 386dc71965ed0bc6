<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Form;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Answers\Priority;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\InvalidDefinition;
use Telamon\Core\Tests\Fixtures;

/** Need, budget, authority and start: what an inquiry is worth pursuing for (common practice in sales). */
final class PriorityTest extends TestCase
{
    public function testEachPartCountsWhatItsAnswerReaches(): void
    {
        $priority = Priority::of(
            Fixtures::reader()->read(self::form(), ['need' => ['keys', 'pedal'], 'budget' => 'about €1.250', 'owner' => 'yep', 'wanted' => '2026-12-02']),
            '2026-11-25',
        );
        self::assertSame([
            ['part' => 'need', 'question' => 1, 'text' => 'Keys, Pedal', 'points' => 5],
            ['part' => 'budget', 'question' => 2, 'text' => 'about €1.250', 'points' => 4],
            ['part' => 'authority', 'question' => 3, 'text' => 'Yes', 'points' => 3],
            ['part' => 'start', 'question' => 4, 'text' => '2026-12-02', 'points' => 6],
        ], $priority->parts);
        self::assertSame(18, $priority->points());
    }

    public function testWhatIsReachedByNothingCountsNothing(): void
    {
        $priority = Priority::of(Fixtures::reader()->read(self::form(), ['budget' => '499.99', 'owner' => 'no', 'wanted' => '2027-02-01']), '2026-11-25');
        self::assertSame([0, 0, 0], array_column($priority->parts, 'points'));
        self::assertSame(0, Priority::of(Fixtures::reader()->read(self::form(), []), '2026-11-25')->points());
    }

    /** @param array<string, mixed> $points */
    #[DataProvider('wrong')]
    public function testPointsThatCannotBe(string $type, array $points, string $why): void
    {
        $this->expectException(InvalidDefinition::class);
        $this->expectExceptionMessage($why);
        FormDefinition::fromArray(['title' => 'A', 'pages' => [['key' => 'one', 'questions' => [['key' => 'q', 'type' => $type, 'wording' => 'Q', 'points' => $points]]]]]);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'another part' => ['money', ['part' => 'luck', 'steps' => []], 'part is one of'];
        yield 'too many' => ['money', ['part' => 'need', 'steps' => [['at' => '5', 'points' => 101]]], 'from 0 to 100'];
        yield 'no amount' => ['money', ['part' => 'need', 'steps' => [['at' => 'much', 'points' => 1]]], 'from an amount'];
        yield 'a kind that cannot' => ['email', ['part' => 'need', 'steps' => []], 'cannot count'];
    }

    private static function form(): FormDefinition
    {
        return FormDefinition::fromArray(['title' => 'Inquiry', 'pages' => [['key' => 'one', 'questions' => [
            [
                'key' => 'need',
                'type' => 'any-of',
                'wording' => 'What?',
                'options' => [['value' => 'keys', 'label' => 'Keys'], ['value' => 'pedal', 'label' => 'Pedal']],
                'points' => ['part' => 'need', 'steps' => [['at' => 'keys', 'points' => 2], ['at' => 'pedal', 'points' => 5]]],
            ],
            [
                'key' => 'budget',
                'type' => 'money',
                'wording' => 'Budget?',
                'points' => ['part' => 'budget', 'steps' => [['at' => '500', 'points' => 2], ['at' => '1000', 'points' => 4]]],
            ],
            ['key' => 'owner', 'type' => 'yes-no', 'wording' => 'Yours?', 'points' => ['part' => 'authority', 'steps' => [['at' => 'yes', 'points' => 3]]]],
            ['key' => 'wanted', 'type' => 'day', 'wording' => 'When?', 'points' => ['part' => 'start', 'steps' => [['at' => '7', 'points' => 6], ['at' => '30', 'points' => 1]]]],
        ]]]]);
    }
}

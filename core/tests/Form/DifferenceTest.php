<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Form;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Form\Advice;
use Telamon\Core\Form\Difference;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Tests\Fixtures;

final class DifferenceTest extends TestCase
{
    private const BASE = [
        'title' => 'Inquiry', 'intro' => 'Hello', 'promiseMinutes' => 120,
        'pages' => [['key' => 'p', 'title' => 'You', 'questions' => [
            ['key' => 'a', 'type' => 'yes-no', 'wording' => 'Stairs?'],
            ['key' => 'b', 'type' => 'short-text', 'wording' => 'Where?', 'hint' => 'street'],
            ['key' => 'c', 'type' => 'one-of', 'wording' => 'Which?', 'options' => [['value' => 'x', 'label' => 'X']]],
        ]]],
    ];

    public function testNothingChangedIsNothingToSay(): void
    {
        self::assertSame([], Difference::words(FormDefinition::fromArray(self::BASE), FormDefinition::fromArray(self::BASE)));
    }

    /**
     * @param array<string, mixed> $part over the whole form
     * @param array<int, array<string, mixed>|null> $questions over single questions; null takes one out
     * @param list<string> $words
     */
    #[DataProvider('changes')]
    public function testWhatChangedIsToldInWords(array $part, array $questions, array $words): void
    {
        $after = $part + self::BASE;
        if ([] !== $questions) {
            $list = self::BASE['pages'][0]['questions'];
            foreach ($questions as $place => $change) {
                if (null === $change) {
                    unset($list[$place]);
                } else {
                    $list[$place] = $change + ($list[$place] ?? []);
                }
            }
            $after['pages'] = [['questions' => array_values($list)] + self::BASE['pages'][0]];
        }
        self::assertSame($words, Difference::words(FormDefinition::fromArray(self::BASE), FormDefinition::fromArray($after)));
    }

    /** @return iterable<string, array{array<string, mixed>, array<int, array<string, mixed>|null>, list<string>}> */
    public static function changes(): iterable
    {
        yield 'the title' => [['title' => 'Write to us'], [], ['the title changed']];
        yield 'the promise' => [['promiseMinutes' => 60], [], ['the promise to answer changed']];
        yield 'an ending' => [['endings' => [['kind' => 'thanks', 'text' => 'x']]], [], ['the endings changed']];
        yield 'the wording' => [[], [1 => ['wording' => 'Where is it?']], ['“Where?” now reads “Where is it?”']];
        yield 'the kind' => [[], [1 => ['type' => 'address']], ['“Where?” takes another kind of answer']];
        yield 'needed' => [[], [1 => ['required' => true]], ['“Where?” is needed now']];
        yield 'the hint' => [[], [1 => ['hint' => 'street and town']], ['“Where?” has another hint']];
        yield 'the offer' => [[], [2 => ['options' => [['value' => 'y', 'label' => 'Y']]]], ['“Which?” offers other answers']];
        yield 'a condition' => [[], [1 => ['showIf' => ['question' => 'a', 'op' => 'is', 'value' => 'yes']]], ['“Where?” is asked on another condition']];
        yield 'a destination' => [[], [1 => ['destination' => 'asset.place']], ['“Where?” goes somewhere else']];
        yield 'a check' => [[], [1 => ['maxLength' => 5]], ['“Where?” is checked otherwise']];
        yield 'taken out' => [[], [1 => null], ['“Where?” is taken out']];
        yield 'added' => [[], [3 => ['key' => 'd', 'type' => 'email', 'wording' => 'Email']], ['“Email” is added as question 4']];
    }

    public function testAnotherOrderIsTold(): void
    {
        $questions = self::BASE['pages'][0]['questions'];
        $after = ['pages' => [['questions' => [$questions[1], $questions[0], $questions[2]]] + self::BASE['pages'][0]]] + self::BASE;
        self::assertSame(['questions stand in another order'], Difference::words(FormDefinition::fromArray(self::BASE), FormDefinition::fromArray($after)));
    }

    public function testAdviceNamesWhatIsLacking(): void
    {
        self::assertSame([], Advice::for(Fixtures::form()));
        $advice = Advice::for(FormDefinition::fromArray(['pages' => [['key' => 'p', 'questions' => [['key' => 'a', 'type' => 'short-text', 'wording' => ' ']]]]]));
        self::assertCount(2, $advice);
        self::assertStringContainsString('name', $advice[0]);
        self::assertStringContainsString('email', $advice[1]);
    }
}

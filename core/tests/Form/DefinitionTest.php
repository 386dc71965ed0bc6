<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Form;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Answers\AnswerCheck;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\InvalidDefinition;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\Readers;
use Telamon\Core\Form\Violation;
use Telamon\Core\Reading\EmailReader;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Tests\Fixtures;
use Telamon\Core\Time\AnsweredDays;

final class DefinitionTest extends TestCase
{
    public function testQuestionsAreNumberedThroughAllPages(): void
    {
        $form = FormDefinition::fromArray(['pages' => [
            ['key' => 'a', 'questions' => [['key' => 'one', 'type' => 'short-text'], ['key' => 'two', 'type' => 'short-text']]],
            ['key' => 'b', 'questions' => [['key' => 'three', 'type' => 'short-text']]],
        ]]);
        self::assertSame([1, 2, 3], array_map(static fn (Question $question): int => $question->number, $form->questions()));
        self::assertSame(3, $form->question('three')?->number);
        self::assertNull($form->question('four'));
    }

    public function testAFieldIsFoundByItsDestination(): void
    {
        self::assertSame('email', Fixtures::form()->questionFor(Destination::ClientEmail)?->key);
        self::assertNull(FormDefinition::fromArray(['pages' => [[
            'key' => 'a',
            'questions' => [['key' => 'one', 'type' => 'short-text']],
        ]]])->questionFor(Destination::ClientEmail));
    }

    public function testAnOptionIsToldByItsLabel(): void
    {
        $service = Fixtures::form()->question('service');
        self::assertSame('Repair it', $service?->labelOf('repair'));
        self::assertSame('gone', $service->labelOf('gone'));
    }

    /** @param array<string, mixed> $definition */
    #[DataProvider('wrongDefinitions')]
    public function testAWrongDefinitionSaysWhere(array $definition, string $words): void
    {
        $this->expectException(InvalidDefinition::class);
        $this->expectExceptionMessage($words);
        FormDefinition::fromArray($definition);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrongDefinitions(): iterable
    {
        $form = static fn (array ...$questions): array => ['pages' => [['key' => 'a', 'questions' => $questions]]];
        yield 'no question' => [$form(), 'at least one question'];
        yield 'no pages' => [[], 'at least one question'];
        yield 'pages that are none' => [['pages' => 'x'], 'pages: a list'];
        yield 'a page that is none' => [['pages' => ['x']], 'each entry is an object'];
        yield 'one key twice' => [$form(['key' => 'a', 'type' => 'short-text'], ['key' => 'a', 'type' => 'short-text']), 'question 2: the key “a” stands twice'];
        yield 'a key with a blank' => [$form(['key' => 'a b', 'type' => 'short-text']), 'question 1: a key is'];
        yield 'an unknown kind' => [$form(['key' => 'a', 'type' => 'mood']), 'the type is not known'];
        yield 'nothing to choose' => [$form(['key' => 'a', 'type' => 'one-of']), 'nothing to choose from'];
        yield 'an unknown destination' => [$form(['key' => 'a', 'type' => 'short-text', 'destination' => 'client.shoe']), '“client.shoe” is not known'];
        yield 'a length that is text' => [$form(['key' => 'a', 'type' => 'short-text', 'maxLength' => 'long']), 'maxLength: a whole number'];
        yield 'a title that is a list' => [['title' => []] + $form(['key' => 'a', 'type' => 'short-text']), 'title: text is needed'];
        yield 'too many questions' => [$form(...array_map(static fn (int $n): array => ['key' => "q$n", 'type' => 'short-text'], range(1, 301))), 'at most 300'];
    }

    public function testWhatIsRightPasses(): void
    {
        self::assertSame([], $this->check(Fixtures::answers()));
    }

    public function testADayMayBeTodayAndNotTenYearsOff(): void
    {
        self::assertSame([], $this->check(['wanted_by' => '2026-11-25'] + Fixtures::answers()));
        self::assertSame(['wanted_by'], $this->check(['wanted_by' => '2026-11-24'] + Fixtures::answers()));
        self::assertSame(['wanted_by'], $this->check(['wanted_by' => '2099-01-01'] + Fixtures::answers()));
        self::assertSame([], $this->check(['wanted_by' => '12/11/2026'] + Fixtures::answers()), 'one of the two days is still to come');
    }

    public function testBlankIsEmpty(): void
    {
        self::assertSame(['name'], $this->check(['name' => " \n "] + Fixtures::answers()));
        self::assertSame([], $this->check(['phone' => '  '] + Fixtures::answers()));
    }

    public function testBrokenBytesAreRefused(): void
    {
        self::assertSame(['matter'], $this->check(['matter' => "\xff"] + Fixtures::answers()));
    }

    /**
     * @param array<string, mixed> $answers
     *
     * @return list<string> keys of the questions that need another look
     */
    private function check(array $answers): array
    {
        $check = new AnswerCheck(new Readers(new EmailReader(), new PhoneReader('IE'), new AnsweredDays()));

        return array_map(static fn (Violation $violation): string => $violation->path, $check->check(Fixtures::form(), $answers, new \DateTimeImmutable('2026-11-25')));
    }
}

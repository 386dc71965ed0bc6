<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Form;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Form\Asking;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Kinds;
use Telamon\Core\Form\Readers;
use Telamon\Core\Reading\EmailReader;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Time\AnsweredDays;
use Telamon\Core\Time\DayOrder;

/** What each kind of question says of answers; the browser says the same, from the same file. */
final class AnswersTest extends TestCase
{
    /** @param array<string, mixed> $asked */
    #[DataProvider('cases')]
    public function testWhatAKindSaysOfAnAnswer(array $asked, mixed $answer, ?string $fault, string $text): void
    {
        $question = FormDefinition::fromArray(['pages' => [['key' => 'p', 'questions' => [$asked + ['key' => 'q', 'wording' => 'Q']]]]])->questions()[0];
        $at = new Asking(
            new Readers(new EmailReader(), new PhoneReader('IE'), new AnsweredDays()),
            DayOrder::Unstated,
            new \DateTimeImmutable('2026-11-25', new \DateTimeZone('Europe/Dublin')),
        );
        self::assertSame($fault, $question->type->fault($question, $answer, $question->required, $at));
        self::assertSame($text, trim($question->type->text($question, $answer)));
    }

    /** @return iterable<string, array{array<string, mixed>, mixed, string|null, string}> */
    public static function cases(): iterable
    {
        foreach (self::read() as $i => $case) {
            yield "$i {$case['question']['type']}" => [$case['question'], $case['answer'], $case['fault'], $case['text']];
        }
    }

    public function testEveryKindHasACase(): void
    {
        self::assertEqualsCanonicalizing(
            array_keys(Kinds::all()),
            array_values(array_unique(array_map(static fn (array $case): string => $case['question']['type'], self::read()))),
        );
    }

    /** @return list<array{question: array{type: string}, answer: mixed, fault: string|null, text: string}> */
    private static function read(): array
    {
        /** @var list<array{question: array{type: string}, answer: mixed, fault: string|null, text: string}> $cases */
        $cases = json_decode((string) file_get_contents(__DIR__.'/../../../tests/fixtures/answers.json'), true, 16, \JSON_THROW_ON_ERROR);

        return $cases;
    }
}

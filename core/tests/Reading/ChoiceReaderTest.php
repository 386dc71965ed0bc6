<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Reading;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Form\ChoiceReader;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Kinds\YesNo;
use Telamon\Core\Form\Question;
use Telamon\Core\Tests\Fixtures;

final class ChoiceReaderTest extends TestCase
{
    #[DataProvider('answers')]
    public function testWhatIsMeant(string $key, string $text, ?string $expected): void
    {
        $question = self::form()->question($key);
        self::assertInstanceOf(Question::class, $question);
        self::assertSame($expected, $question->type instanceof YesNo ? ChoiceReader::yesNo($text) : ChoiceReader::read($question, $text));
    }

    /** @return iterable<string, array{string, string, string|null}> */
    public static function answers(): iterable
    {
        yield 'the value' => ['service', 'fit', 'fit'];
        yield 'the label in other letters' => ['service', 'FIT  a string', 'fit'];
        yield 'the form’s own other word' => ['service', 'restringing', 'fit'];
        yield 'a common word' => ['service', 'Mend', 'repair'];
        yield 'with words that say nothing' => ['service', 'Please fix it', 'repair'];
        yield 'the label without them' => ['service', 'fit string', 'fit'];
        yield 'a word for none of them' => ['service', 'polish it', null];
        yield 'a word for two of them' => ['twice', 'phone', null];
        yield 'nothing' => ['service', ' . ', null];
        yield 'yes' => ['stairs', 'Yes, please', 'yes'];
        yield 'no' => ['stairs', 'not really', 'no'];
        yield 'neither' => ['stairs', 'perhaps', null];
    }

    public function testReadingsAndChecksUnderstandThem(): void
    {
        $form = self::form();
        $reading = Fixtures::reader()->read($form, ['service' => 'mend', 'stairs' => 'nope', 'days' => ['mornings', 'never heard of']])->all;
        self::assertSame(['repair', 'no', ['am', 'never heard of']], array_column($reading, 'value'));
        self::assertSame(['Repair it', 'No', 'mornings, never heard of'], array_column($reading, 'text'));
        self::assertSame(['service' => 'repair', 'stairs' => 'no', 'budget' => '1250.00'], $form->understood(['service' => 'mend', 'stairs' => 'nope', 'budget' => '€1.250,00']));
    }

    public function testAQuestionThatHangsOnAChoiceIsAskedWhateverWordItCameIn(): void
    {
        $asked = static fn (string $stairs): array => array_column(self::form()->shown(['stairs' => $stairs], '2026-11-25'), 'key');
        self::assertContains('floor', $asked('yes please'));
        self::assertNotContains('floor', $asked('nope'));
    }

    private static function form(): FormDefinition
    {
        $call = ['value' => 'call', 'label' => 'A call'];

        return FormDefinition::fromArray(['title' => 'Inquiry', 'pages' => [['key' => 'one', 'questions' => [
            [
                'key' => 'service',
                'type' => 'one-of',
                'wording' => 'What?',
                'options' => [['value' => 'fit', 'label' => 'Fit a string', 'also' => ['Restringing', '']], ['value' => 'repair', 'label' => 'Repair it']],
            ],
            ['key' => 'twice', 'type' => 'one-of', 'wording' => 'How?', 'options' => [$call, ['value' => 'ring', 'label' => 'Ring me']]],
            ['key' => 'stairs', 'type' => 'yes-no', 'wording' => 'Stairs?'],
            ['key' => 'floor', 'type' => 'number', 'wording' => 'Floor?', 'showIf' => ['question' => 'stairs', 'op' => 'is', 'value' => 'yes']],
            ['key' => 'days', 'type' => 'any-of', 'wording' => 'When?', 'options' => [['value' => 'am', 'label' => 'Morning'], ['value' => 'pm', 'label' => 'Afternoon']]],
            ['key' => 'budget', 'type' => 'money', 'wording' => 'Budget?'],
        ]]]]);
    }
}

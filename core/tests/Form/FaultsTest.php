<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Form;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Form\Carrying;
use Telamon\Core\Form\Faults;
use Telamon\Core\Form\FormDefinition;

final class FaultsTest extends TestCase
{
    private const GOOD = ['title' => 'Inquiry', 'purpose' => 'open', 'thanks' => 'Thank you {{name}}, {{reference}}. {{what}}', 'promiseMinutes' => 120, 'pages' => [['key' => 'p', 'questions' => [
        ['key' => 'what', 'type' => 'one-of', 'wording' => 'What?', 'options' => [['value' => 'a', 'label' => 'A'], ['value' => 'b', 'label' => 'B']]],
        ['key' => 'why', 'type' => 'short-text', 'wording' => 'Why?', 'showIf' => ['question' => 'what', 'op' => 'is', 'value' => 'a']],
    ]]]];

    public function testAGoodFormHasNone(): void
    {
        self::assertSame([], self::faults(self::GOOD));
    }

    /** @param array<string, mixed> $part */
    #[DataProvider('broken')]
    public function testWhatIsBrokenIsSaidWithItsPlace(array $part, string $words): void
    {
        $faults = self::faults($part + self::GOOD);
        self::assertCount(1, $faults, implode(' ', $faults));
        self::assertStringContainsString($words, $faults[0]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function broken(): iterable
    {
        $second = self::GOOD['pages'][0]['questions'][1];
        $with = static fn (array $question): array => ['pages' => [['key' => 'p', 'questions' => [self::GOOD['pages'][0]['questions'][0], $question + $second]]]];
        yield 'a blank title' => [['title' => ' '], 'no title'];
        yield 'a page without a question' => [['pages' => [...self::GOOD['pages'], ['key' => 'q', 'title' => 'More', 'questions' => []]]], 'Page 2 is empty'];
        yield 'no purpose' => [['purpose' => ''], 'what its submissions do'];
        yield 'a promise of a million minutes' => [['promiseMinutes' => 1_000_000], 'promise is longer'];
        yield 'a part that is not closed' => [['thanks' => 'Thank you {{#name}}.'], 'The thanks: a {{…}} is opened'];
        yield 'a field that nothing has' => [['thanks' => 'Thank you {{nmae}}.'], '{{nmae}} would stay empty'];
        yield 'an ending to a form that is not there' => [['endings' => [['kind' => 'form', 'text' => 'gone']]], 'Ending 1 leads to a form that is not published'];
        yield 'an ending to itself' => [['endings' => [['kind' => 'form', 'text' => 'me']]], 'leads back to this form'];
        yield 'an ending that says nothing' => [['endings' => [['kind' => 'thanks', 'text' => '']]], 'says nothing'];
        yield 'no wording' => [$with(['wording' => '']), 'Question 2 has no wording'];
        yield 'an unfinished condition' => [$with(['showIf' => ['question' => 'what', 'op' => 'is', 'value' => '']]), 'Finish the condition'];
        yield 'a choice that is not offered' => [$with(['requiredIf' => ['question' => 'what', 'op' => 'is', 'value' => 'c']]), 'does not offer'];
        yield 'a choice without words' => [
            ['pages' => [[
                'key' => 'p',
                'questions' => [['options' => [['value' => 'a', 'label' => 'A'], ['value' => 'b', 'label' => ' ']]] + self::GOOD['pages'][0]['questions'][0]],
            ]]],
            'an empty choice',
        ];
        yield 'a choice twice' => [
            ['pages' => [[
                'key' => 'p',
                'questions' => [['options' => [['value' => 'a', 'label' => 'A'], ['value' => 'b', 'label' => 'a']]] + self::GOOD['pages'][0]['questions'][0]],
            ]]],
            'the same choice twice',
        ];
    }

    public function testAnswersAreCarriedByWhereTheyGoNotByTheirKeys(): void
    {
        $question = static fn (string $key, string $type, string $destination, array $more = []): array => [
            'key' => $key,
            'type' => $type,
            'wording' => $key,
            'destination' => $destination,
        ] + $more;
        $short = FormDefinition::fromArray(['pages' => [['key' => 'p', 'questions' => [
            $question('question_1', 'person-name', 'client.name'), $question('question_2', 'email', 'client.email'),
            $question('question_3', 'one-of', 'project.service', ['options' => [['value' => 'x', 'label' => 'Repair'], ['value' => 'y', 'label' => 'Tuning']]]),
            $question('question_4', 'short-text', 'project.notes'),
        ]]]]);
        $long = FormDefinition::fromArray(['pages' => [['key' => 'p', 'questions' => [
            $question('question_1', 'email', 'client.email'), $question('question_2', 'one-of', 'project.service', ['options' => [['value' => 'r', 'label' => 'Repair']]]),
            $question('question_4', 'person-name', 'client.name'), $question('question_3', 'long-text', 'project.notes'),
        ]]]]);
        $answers = ['question_1' => 'Orla', 'question_2' => 'orla@example.com', 'question_3' => 'x', 'question_4' => 'Keys stick.'];
        self::assertSame(['question_1' => 'orla@example.com', 'question_2' => 'r', 'question_4' => 'Orla'], Carrying::between($short, $answers, $long));
        self::assertArrayNotHasKey('question_2', Carrying::between($short, ['question_3' => 'y'] + $answers, $long), 'what is not offered there is asked');
    }

    /**
     * @param array<string, mixed> $definition
     *
     * @return list<string>
     */
    private static function faults(array $definition): array
    {
        return (new Faults())->of(FormDefinition::fromArray($definition), ['other'], 'me');
    }
}

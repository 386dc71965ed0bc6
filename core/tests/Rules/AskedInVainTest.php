<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Rules;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Rules\AskedInVain;
use Telamon\Core\Rules\RuleReader;
use Telamon\Core\Text\TemplateRenderer;

/** Before a form gives something up, the rules that name it are told. */
final class AskedInVainTest extends TestCase
{
    /**
     * @param array<string, mixed>|null $if
     * @param list<string> $forms
     * @param list<string> $expected
     */
    #[DataProvider('rules')]
    public function testWhatARuleNames(?array $if, array $forms, string $note, array $expected): void
    {
        $rule = (new RuleReader())->read('r', ['name' => 'Stairs', 'forms' => $forms, 'if' => $if, 'then' => [['kind' => 'note', 'text' => $note]]]);
        $published = self::form(['place', 'stairs'], ['tune', 'rent']);
        $drafted = self::form(['place'], ['tune']);

        $asked = new AskedInVain(new TemplateRenderer());
        self::assertSame($expected, $asked->of([$rule], 'inquiry', $drafted, $published));
        self::assertSame([], $asked->of([$rule], 'inquiry', $published, $published), 'what stays is not told');
    }

    /** @return iterable<string, array{array<string, mixed>|null, list<string>, string, list<string>}> */
    public static function rules(): iterable
    {
        $question = ['The rule “Stairs” asks about “Your stairs”, which is not asked any more.'];
        $choice = ['The rule “Stairs” asks about a choice of “What?” that is not there any more.'];
        yield 'a question, deep inside' => [
            ['all' => [['question' => 'place', 'op' => 'has-word', 'value' => 'mill'], ['not' => ['question' => 'stairs', 'op' => 'is-blank']]]],
            ['inquiry'],
            'x',
            $question,
        ];
        yield 'of a rule for all forms' => [['question' => 'stairs', 'op' => 'is-blank'], [], 'x', $question];
        yield 'a choice' => [['question' => 'service', 'op' => 'is', 'value' => 'Rent'], ['inquiry', 'tuning'], 'x', $choice];
        yield 'one of several choices' => [['question' => 'service', 'op' => 'is-one-of', 'values' => ['tune', 'rent']], ['inquiry'], 'x', $choice];
        yield 'in a text' => [null, ['inquiry'], 'Mind {{stairs}}', ['The rule “Stairs” writes the answer to “Your stairs”, which is not asked any more.']];
        yield 'what stays' => [['question' => 'service', 'op' => 'is', 'value' => 'tune'], ['inquiry'], 'See {{place}}', []];
        yield 'what is known without asking' => [['question' => '@client', 'op' => 'is', 'value' => 'new'], ['inquiry'], 'x', []];
        yield 'what another form asks' => [['question' => 'strings', 'op' => 'is-blank'], ['inquiry', 'tuning'], 'x', []];
        yield 'a rule for another form' => [['question' => 'stairs', 'op' => 'is-blank'], ['tuning'], 'x', []];
    }

    public function testItIsToldEvenAfterThatWasPublished(): void
    {
        $rule = (new RuleReader())->read(
            'r',
            ['name' => 'Stairs', 'forms' => ['inquiry'], 'if' => ['question' => 'stairs', 'op' => 'is-blank'], 'then' => [['kind' => 'note', 'text' => 'x']]],
        );
        $form = self::form(['place'], ['tune']);
        self::assertSame(['The rule “Stairs” asks about a question that is not asked any more.'], (new AskedInVain(new TemplateRenderer()))->of([$rule], 'inquiry', $form, $form));
    }

    /**
     * @param list<string> $texts
     * @param list<string> $choices
     */
    private static function form(array $texts, array $choices): FormDefinition
    {
        $questions = array_map(static fn (string $key): array => ['key' => $key, 'type' => 'short-text', 'wording' => "Your $key"], $texts);
        $questions[] = [
            'key' => 'service',
            'type' => 'one-of',
            'wording' => 'What?',
            'options' => array_map(static fn (string $value): array => ['value' => $value, 'label' => ucfirst($value)], $choices),
        ];

        return FormDefinition::fromArray(['title' => 'Inquiry', 'pages' => [['key' => 'a', 'title' => 'You', 'next' => 'Send', 'questions' => $questions]]]);
    }
}

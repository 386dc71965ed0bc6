<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

use Telamon\Core\Condition\Operator;
use Telamon\Core\Condition\Test;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Question;
use Telamon\Core\Text\TemplateRenderer;
use Telamon\Core\Text\UnreadableTemplate;

/** Which rules would ask, or write, in vain once a form stands as it is drafted: what they name is not there any more. */
final readonly class AskedInVain
{
    public function __construct(private TemplateRenderer $renderer)
    {
    }

    /**
     * Only what this form alone can answer is looked at: of a rule for several forms another one may ask it.
     *
     * @param list<Rule> $rules
     * @param string $slug of the form
     * @param FormDefinition|null $before as it is published; null where it is not
     *
     * @return list<string> in words, one for each rule at most, in the order of the rules
     */
    public function of(array $rules, string $slug, FormDefinition $drafted, ?FormDefinition $before): array
    {
        $asked = array_column($drafted->questions(), null, 'key');
        $told = [];
        foreach ($rules as $rule) {
            if ([] === $rule->forms || \in_array($slug, $rule->forms, true)) {
                $told[] = $this->test($rule, $asked, $before) ?? $this->text($rule, $asked, $before);
            }
        }

        return array_values(array_filter($told, \is_string(...)));
    }

    /** @param array<string, Question> $asked */
    private function test(Rule $rule, array $asked, ?FormDefinition $before): ?string
    {
        foreach ($rule->if?->tests() ?? [] as $test) {
            $question = $asked[$test->question] ?? null;
            $gone = null === $question ? self::wordingOf($before, $test->question) : null;
            if (null !== $gone) {
                return "The rule “{$rule->name}” asks about “{$gone}”, which is not asked any more.";
            }
            // What begins with @ is known without asking.
            if (null === $question && 1 === \count($rule->forms) && !str_starts_with($test->question, '@')) {
                return "The rule “{$rule->name}” asks about a question that is not asked any more.";
            }
            if (null !== $question && self::isOfLostChoice($test, $question)) {
                return "The rule “{$rule->name}” asks about a choice of “{$question->wording}” that is not there any more.";
            }
        }

        return null;
    }

    /** @param array<string, Question> $asked */
    private function text(Rule $rule, array $asked, ?FormDefinition $before): ?string
    {
        foreach ($rule->actions as $action) {
            foreach ($action->texts() as $text) {
                foreach ($this->fieldsOf($text) as $field) {
                    $gone = isset($asked[$field]) ? null : self::wordingOf($before, $field);
                    if (null !== $gone) {
                        return "The rule “{$rule->name}” writes the answer to “{$gone}”, which is not asked any more.";
                    }
                }
            }
        }

        return null;
    }

    private static function isOfLostChoice(Test $test, Question $question): bool
    {
        if ([] === $question->options || !\in_array($test->operator, [Operator::Is, Operator::IsOneOf], true)) {
            return false;
        }

        return [] !== array_diff(array_map(mb_strtolower(...), $test->values), array_map(mb_strtolower(...), array_column($question->options, 'value')));
    }

    /** @return string|null null where this form did not ask that: then it gives up nothing */
    private static function wordingOf(?FormDefinition $form, string $key): ?string
    {
        foreach ($form?->questions() ?? [] as $question) {
            if ($question->key === $key) {
                return $question->wording;
            }
        }

        return null;
    }

    /** @return list<string> */
    private function fieldsOf(string $text): array
    {
        try {
            return $this->renderer->fieldsOf($text);
        } catch (UnreadableTemplate) {
            return [];
        }
    }
}

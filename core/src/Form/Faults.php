<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Condition\Condition;
use Telamon\Core\Condition\Group;
use Telamon\Core\Condition\Operator;
use Telamon\Core\Condition\Test;
use Telamon\Core\Text\TemplateRenderer;
use Telamon\Core\Text\UnreadableTemplate;

/** Why a form that can be read cannot be published yet: each with its place, and what would mend it. */
final readonly class Faults
{
    /** Working minutes that a promise may have at most: some forty days of eight hours. */
    public const LONGEST_PROMISE = 20_000;
    /** What a text may name beside the answers. */
    private const FIELDS = ['reference', 'name'];

    public function __construct(private TemplateRenderer $renderer = new TemplateRenderer())
    {
    }

    /**
     * @param list<string> $forms address endings of the forms that an ending may lead to
     * @param string $own the address ending of this one
     *
     * @return list<string> empty where nothing is in the way
     */
    public function of(FormDefinition $form, array $forms, string $own): array
    {
        return [
            ...('' === trim($form->title) ? ['The form has no title. Write one under “The form”.'] : []),
            ...(null === $form->purpose ? ['Say under “The form” what its submissions do: open a project, add to an open one, or be filed with the client.'] : []),
            ...($form->promiseMinutes > self::LONGEST_PROMISE ? [\sprintf(
                'The promise is longer than %s working minutes. Shorten it.',
                number_format(self::LONGEST_PROMISE),
            )] : []),
            ...$this->text('The thanks', $form->thanks, $form),
            ...self::pages($form),
            ...$this->questions($form),
            ...$this->endings($form, $forms, $own),
        ];
    }

    /** @return list<string> */
    private static function pages(FormDefinition $form): array
    {
        $faults = [];
        foreach ($form->pages as $i => $page) {
            if ([] === $page->questions) {
                $faults[] = 'Page '.($i + 1).' is empty. Add a question to it, or remove it.';
            }
        }

        return $faults;
    }

    /** @return list<string> */
    private function questions(FormDefinition $form): array
    {
        $faults = [];
        $before = [];
        foreach ($form->questions() as $question) {
            $place = $question->number > 0 ? "Question {$question->number}" : 'A text between the questions';
            if ($question->type->asks() && $question->type->isShown() && '' === trim($question->wording)) {
                $faults[] = "$place has no wording. Write what is asked.";
            }
            $labels = array_map(static fn (Option $option): string => mb_strtolower(trim($option->label)), $question->options);
            if (\in_array('', $labels, true)) {
                $faults[] = "$place offers an empty choice. Write it, or remove it.";
            }
            if (\count(array_unique($labels)) < \count($labels)) {
                $faults[] = "$place offers the same choice twice. Remove one.";
            }
            foreach (['showIf' => 'is shown only if', 'requiredIf' => 'is needed if'] as $property => $words) {
                $condition = $question->{$property};
                $faults = [...$faults, ...($condition instanceof Condition ? $this->condition("$place $words", $condition, $before) : [])];
            }
            $before[$question->key] = $question;
        }

        return $faults;
    }

    /**
     * @param list<string> $forms
     *
     * @return list<string>
     */
    private function endings(FormDefinition $form, array $forms, string $own): array
    {
        $faults = [];
        $all = array_column($form->questions(), null, 'key');
        foreach ($form->endings as $i => $ending) {
            $place = 'Ending '.($i + 1);
            if (EndingKind::Form === $ending->kind && ($ending->text === $own || !\in_array($ending->text, $forms, true))) {
                $faults[] = $ending->text === $own
                    ? "$place leads back to this form. Choose another one."
                    : "$place leads to a form that is not published. Choose one that is, or publish it first.";
            }
            if (EndingKind::Thanks === $ending->kind) {
                $faults = [...$faults, ...('' === trim($ending->text) ? ["$place says nothing. Write its thanks."] : $this->text($place, $ending->text, $form))];
            }
            $faults = [...$faults, ...(null === $ending->when ? [] : $this->condition("$place comes if", $ending->when, $all))];
        }

        return $faults;
    }

    /**
     * @param array<string, Question> $questions that may be asked about
     *
     * @return list<string>
     */
    private function condition(string $place, Condition $condition, array $questions): array
    {
        $faults = [];
        foreach (self::tests($condition) as $test) {
            $asked = $questions[$test->question] ?? null;
            $values = array_filter($test->values, static fn (string $value): bool => '' !== trim($value));
            if (null === $asked) {
                $faults[] = "$place … a question that is not asked before it. Choose another one, or remove the condition.";
            } elseif (Operator::IsBlank !== $test->operator && [] === $values) {
                $faults[] = "$place {$asked->number} {$test->operator->words()} … and then nothing. Finish the condition.";
            } elseif ($asked->type->offersOptions() && [] !== array_diff($values, array_column($asked->options, 'value')) && \in_array($test->operator, [Operator::Is, Operator::IsOneOf], true)) {
                $faults[] = "$place {$asked->number} {$test->operator->words()} a choice that it does not offer (any more). Choose again.";
            }
        }

        return $faults;
    }

    /** @return list<Test> */
    private static function tests(Condition $condition): array
    {
        return match (true) {
            $condition instanceof Test => [$condition],
            $condition instanceof Group => array_merge(...array_map(self::tests(...), $condition->parts)),
            default => [],
        };
    }

    /** @return list<string> */
    private function text(string $place, string $text, FormDefinition $form): array
    {
        try {
            $named = $this->renderer->fieldsOf($text);
        } catch (UnreadableTemplate) {
            return ["$place: a {{…}} is opened and not closed. Write {{name}}, or remove it."];
        }
        $known = [
            ...self::FIELDS,
            ...array_column(array_filter($form->questions(), static fn (Question $question): bool => $question->type->asks() && !$question->staffOnly), 'key'),
        ];
        $unknown = array_values(array_diff($named, $known));

        return [] === $unknown ? [] : ["$place: {{{$unknown[0]}}} would stay empty, as nothing has that name. Choose one that exists."];
    }
}

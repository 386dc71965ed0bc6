<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Business\PublicFace;
use Telamon\Core\Form\Option;
use Telamon\Core\Form\Page;
use Telamon\Core\Form\Question;

/** Shows a published form to whoever fills it in, as PublicForm in the contract. */
final readonly class PublicFormView
{
    public function __construct(private Profile $business, private PublicFace $face, private ClockInterface $clock)
    {
    }

    /**
     * @param bool $staff whether what only staff are asked is shown too
     * @param list<string> $not keys of questions that are left out: what they ask is known, and nothing hangs on them
     *
     * @return array<string, mixed>
     */
    public function show(FormVersion $version, bool $staff = false, array $not = []): array
    {
        $form = $version->definition();
        $hidden = $staff ? [] : array_column(array_filter($form->questions(), static fn (Question $question): bool => $question->staffOnly), 'key');

        return [
            'slug' => $version->form->slug,
            'version' => $version->number,
            'title' => $form->title,
            'intro' => $form->intro,
            'privacy' => $form->privacy,
            'steps' => $form->steps,
            'dayOrder' => $form->dayOrder->value,
            'today' => $this->clock->now()->setTimezone($this->business->zone())->format('Y-m-d'),
            'checkPage' => $form->checkPage,
            'copy' => $form->copy,
            'business' => $this->face->show(),
            'pages' => $this->pages(
                $form->pages,
                $hidden,
                static fn (Question $question): bool => ($staff || !$question->staffOnly) && !\in_array($question->key, $not, true),
                [] !== $not,
            ),
        ];
    }

    /**
     * @param list<Page> $pages
     * @param list<string> $hidden keys of the questions that only staff are asked
     * @param \Closure(Question): bool $asks
     * @param bool $drops whether a page on which nothing is asked goes
     *
     * @return list<array<string, mixed>>
     */
    private function pages(array $pages, array $hidden, \Closure $asks, bool $drops): array
    {
        $shown = array_map(
            static fn (Page $page): array => [
                'key' => $page->key,
                'title' => $page->title,
                'next' => $page->next,
                'questions' => array_map(static fn (Question $question): array => self::question($question, $hidden), array_values(array_filter($page->questions, $asks))),
            ],
            $pages,
        );

        return array_values(array_filter($shown, static fn (array $page): bool => !$drops || [] !== $page['questions']));
    }

    /**
     * The condition without what only staff are asked: to the public such a question is always blank.
     *
     * @param array<mixed>|null $condition as stored
     * @param list<string> $staffOnly keys
     *
     * @return array<mixed>|null
     */
    private static function told(?array $condition, array $staffOnly): ?array
    {
        foreach (['all', 'any'] as $group) {
            if (\is_array($condition[$group] ?? null)) {
                return [$group => array_map(static fn (mixed $part): ?array => self::told(\is_array($part) ? $part : [], $staffOnly), $condition[$group])];
            }
        }
        if (\is_array($condition['not'] ?? null)) {
            return ['not' => self::told($condition['not'], $staffOnly)];
        }

        return !\in_array($condition['question'] ?? null, $staffOnly, true) ? $condition : ('is-blank' === ($condition['op'] ?? null) ? ['all' => []] : ['any' => []]);
    }

    /**
     * @param list<string> $staffOnly keys of the questions that only staff are asked
     *
     * @return array<string, mixed>
     */
    private static function question(Question $question, array $staffOnly): array
    {
        return [
            'key' => $question->key, 'number' => $question->number, 'type' => $question->type::name(),
            'wording' => $question->wording, 'hint' => $question->hint, 'example' => $question->example, 'required' => $question->required,
            'options' => array_map(static fn (Option $option): array => ['value' => $option->value, 'label' => $option->label], $question->options),
            'minLength' => $question->checks->minLength, 'maxLength' => $question->maxLength,
            'maxFiles' => $question->maxFiles, 'maxBytes' => $question->maxBytes, 'fileKinds' => $question->fileKinds,
            'min' => $question->checks->min, 'max' => $question->checks->max, 'half' => $question->half, 'third' => $question->third, 'parameter' => $question->parameter,
            'default' => $question->default, 'asList' => $question->asList,
            'lines' => array_map(
                static fn (Question $column): array => self::question($column, $staffOnly),
                $question->lines,
            ), 'maxLines' => $question->maxLines, 'picture' => $question->picture,
            'showIf' => self::told($question->raw['showIf'] ?? null, $staffOnly), 'requiredIf' => self::told($question->raw['requiredIf'] ?? null, $staffOnly),
        ];
    }
}

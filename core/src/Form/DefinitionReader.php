<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** Reads a form definition from its stored array. */
final class DefinitionReader
{
    private const MAX_QUESTIONS = 300;
    private const MAX_BYTES = 10_485_760;

    private int $number = 0;

    /** @var array<string, true> */
    private array $keys = [];

    /**
     * @param array<mixed> $data
     *
     * @throws InvalidDefinition
     */
    public function read(array $data): FormDefinition
    {
        $this->number = 0;
        $this->keys = [];
        $pages = [];
        foreach (self::rows($data, 'pages') as $page) {
            $pages[] = $this->page($page);
        }
        if ([] === array_filter($pages, static fn (Page $page): bool => [] !== $page->questions)) {
            throw new InvalidDefinition('pages: a form needs at least one question');
        }
        $steps = [];
        foreach (self::rows($data, 'steps') as $step) {
            $steps[] = ['when' => self::text($step, 'when'), 'what' => self::text($step, 'what')];
        }

        return new FormDefinition(
            self::text($data, 'title'),
            self::text($data, 'intro'),
            self::text($data, 'privacy'),
            self::text($data, 'thanks'),
            $steps,
            $pages,
            self::whole($data, 'promiseMinutes', 120),
            DayOrder::tryFrom(self::text($data, 'dayOrder')) ?? DayOrder::Unstated,
        );
    }

    /** @param array<mixed> $data */
    private function page(array $data): Page
    {
        $questions = [];
        foreach (self::rows($data, 'questions') as $question) {
            $questions[] = $this->question($question);
        }

        return new Page(self::text($data, 'key'), self::text($data, 'title'), self::text($data, 'next'), $questions);
    }

    /** @param array<mixed> $data */
    private function question(array $data): Question
    {
        ++$this->number;
        $at = "question {$this->number}";
        $key = self::text($data, 'key');
        if (1 !== preg_match('/^[a-z][a-z0-9_]{0,39}$/', $key)) {
            throw new InvalidDefinition("$at: a key is 1 to 40 small letters, figures and underlines, and starts with a letter");
        }
        if (isset($this->keys[$key])) {
            throw new InvalidDefinition("$at: the key “{$key}” stands twice");
        }
        if ($this->number > self::MAX_QUESTIONS) {
            throw new InvalidDefinition('a form has at most '.self::MAX_QUESTIONS.' questions');
        }
        $this->keys[$key] = true;
        $type = QuestionType::tryFrom(self::text($data, 'type')) ?? throw new InvalidDefinition("$at: the type is not known");
        $options = [];
        foreach (self::rows($data, 'options') as $option) {
            $options[] = new Option(self::text($option, 'value'), self::text($option, 'label'));
        }
        if (QuestionType::OneOf === $type && [] === $options) {
            throw new InvalidDefinition("$at: it offers nothing to choose from");
        }
        $destination = self::text($data, 'destination');
        if ('' !== $destination && null === Destination::tryFrom($destination)) {
            throw new InvalidDefinition("$at: the destination “{$destination}” is not known");
        }

        return new Question(
            $key,
            $this->number,
            $type,
            self::text($data, 'wording'),
            self::text($data, 'hint'),
            self::text($data, 'example'),
            true === ($data['required'] ?? false),
            $options,
            self::whole($data, 'maxLength', $type->defaultMaxLength()),
            self::whole($data, 'maxFiles', QuestionType::Files === $type ? 8 : 0),
            self::whole($data, 'maxBytes', QuestionType::Files === $type ? self::MAX_BYTES : 0),
            Destination::tryFrom($destination),
        );
    }

    /**
     * @param array<mixed> $data
     *
     * @return list<array<mixed>>
     */
    private static function rows(array $data, string $key): array
    {
        $rows = $data[$key] ?? [];
        if (!\is_array($rows)) {
            throw new InvalidDefinition("$key: a list is needed");
        }

        return array_values(array_map(
            static fn (mixed $row): array => \is_array($row) ? $row : throw new InvalidDefinition("$key: each entry is an object"),
            $rows,
        ));
    }

    /** @param array<mixed> $data */
    private static function text(array $data, string $key): string
    {
        $text = $data[$key] ?? '';

        return \is_string($text) ? $text : throw new InvalidDefinition("$key: text is needed");
    }

    /** @param array<mixed> $data */
    private static function whole(array $data, string $key, int $default): int
    {
        $number = $data[$key] ?? $default;

        return \is_int($number) && $number >= 0 ? $number : throw new InvalidDefinition("$key: a whole number from 0 is needed");
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Condition\Condition;
use Telamon\Core\Condition\ConditionReader;
use Telamon\Core\Condition\InvalidCondition;

/** Reads a form definition from its stored array. */
final class DefinitionReader
{
    private const MAX_QUESTIONS = 300;
    private const MAX_BYTES = 10_485_760;
    private const MAX_PATTERN = 200;

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
            $this->endings($data),
            true === ($data['checkPage'] ?? false),
        );
    }

    /**
     * @param array<mixed> $data
     *
     * @return list<Ending>
     */
    private function endings(array $data): array
    {
        $endings = [];
        foreach (self::rows($data, 'endings') as $i => $ending) {
            $at = 'ending '.($i + 1);
            $kind = EndingKind::tryFrom(self::text($ending, 'kind')) ?? throw new InvalidDefinition("$at: its kind is not known");
            $text = self::text($ending, 'text');
            if (EndingKind::Address === $kind && 1 !== preg_match('#^https://[^\s"<>]+$#', $text)) {
                throw new InvalidDefinition("$at: another address begins with https://");
            }
            if (EndingKind::Form === $kind && 1 !== preg_match('/^[a-z0-9][a-z0-9-]{0,60}$/', $text)) {
                throw new InvalidDefinition("$at: it names the ending of another form's address");
            }
            $when = isset($ending['when']) && \is_array($ending['when']) ? $this->condition($ending['when'], '', $at) : null;
            $endings[] = new Ending($kind, $text, $when);
        }

        return $endings;
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
        if ($type->offersOptions() && [] === $options) {
            throw new InvalidDefinition("$at: it offers nothing to choose from");
        }
        $raw = [];
        foreach (['showIf', 'requiredIf'] as $name) {
            if (isset($data[$name])) {
                $raw[$name] = \is_array($data[$name]) ? $data[$name] : throw new InvalidDefinition("$at: $name is no condition");
            }
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
            self::destination($data, $type, $at),
            $this->checks($data, $at),
            isset($raw['showIf']) ? $this->condition($raw['showIf'], $key, $at) : null,
            isset($raw['requiredIf']) ? $this->condition($raw['requiredIf'], $key, $at) : null,
            true === ($data['half'] ?? false),
            true === ($data['staffOnly'] ?? false),
            self::text($data, 'parameter'),
            $raw,
        );
    }

    /** @param array<mixed> $data */
    private static function destination(array $data, QuestionType $type, string $at): ?Destination
    {
        $name = self::text($data, 'destination');
        if ('' === $name) {
            return null;
        }
        $destination = Destination::tryFrom($name) ?? throw new InvalidDefinition("$at: the destination “{$name}” is not known");

        return \in_array($destination, $type->destinations(), true) ? $destination : throw new InvalidDefinition("$at: an answer of this kind cannot go to “{$name}”");
    }

    /** @param array<mixed> $data */
    private function checks(array $data, string $at): Checks
    {
        $pattern = self::text($data, 'pattern');
        if ('' !== $pattern && (mb_strlen($pattern) > self::MAX_PATTERN || false === @preg_match(Pattern::delimited($pattern), ''))) {
            throw new InvalidDefinition("$at: the pattern cannot be read");
        }
        if ('' !== $pattern && '' === self::text($data, 'message')) {
            throw new InvalidDefinition("$at: a pattern needs a message that says what to write");
        }

        return new Checks(self::text($data, 'min'), self::text($data, 'max'), $pattern, self::text($data, 'message'));
    }

    /** @param array<mixed> $data */
    private function condition(array $data, string $key, string $at): Condition
    {
        try {
            $condition = ConditionReader::read($data);
        } catch (InvalidCondition $error) {
            throw new InvalidDefinition("$at: {$error->getMessage()}");
        }
        foreach ($condition->questions() as $asked) {
            if ($asked === $key || !isset($this->keys[$asked])) {
                throw new InvalidDefinition("$at: its condition asks about “{$asked}”, which does not come before it");
            }
        }

        return $condition;
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

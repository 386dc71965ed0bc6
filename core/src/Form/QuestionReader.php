<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Condition\Condition;
use Telamon\Core\Condition\ConditionReader;
use Telamon\Core\Condition\InvalidCondition;
use Telamon\Core\Form\Kinds\Lines;
use Telamon\Core\Form\Kinds\Statement;
use Telamon\Core\Text\Pattern;

/** Reads the questions of one form, in their order: numbers, keys and conditions hang on those before. */
final class QuestionReader
{
    private const MAX_QUESTIONS = 300;
    private const MAX_BYTES = 10_485_760;
    private const MAX_PATTERN = 200;
    private const MAX_LINE_QUESTIONS = 12;
    private const MAX_PICTURE = 200_000;

    private int $place = 0;
    private int $number = 0;

    /** @var array<string, true> */
    private array $keys = [];

    /**
     * @param array<mixed> $data
     *
     * @throws InvalidDefinition saying at which question and why
     */
    public function read(array $data): Question
    {
        ++$this->place;
        $type = Kinds::find(Plain::text($data, 'type'));
        $this->number += false === $type?->asks() ? 0 : 1;
        $at = false === $type?->asks() ? "the text after question {$this->number}" : "question {$this->number}";
        $key = self::key($data, $at);
        if (isset($this->keys[$key])) {
            throw new InvalidDefinition("$at: the key “{$key}” stands twice");
        }
        if ($this->place > self::MAX_QUESTIONS) {
            throw new InvalidDefinition('a form has at most '.self::MAX_QUESTIONS.' questions');
        }
        $this->keys[$key] = true;

        return $this->one($data, $key, $type ?? throw new InvalidDefinition("$at: the type is not known"), $at);
    }

    /**
     * @param array<mixed> $data
     * @param string $key of the question that the condition belongs to, which it cannot ask about; empty for none
     *
     * @throws InvalidDefinition
     */
    public function condition(array $data, string $key, string $at): Condition
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

    /** @param array<mixed> $data */
    private function one(array $data, string $key, QuestionKind $type, string $at): Question
    {
        $raw = [];
        foreach (['showIf', 'requiredIf'] as $name) {
            if (isset($data[$name])) {
                $raw[$name] = \is_array($data[$name]) ? $data[$name] : throw new InvalidDefinition("$at: $name is no condition");
            }
        }
        $files = $type->files();
        [$destination, $customField] = self::destination($data, $type, $at);

        return new Question(
            $key,
            $type->asks() ? $this->number : 0,
            $type,
            Plain::text($data, 'wording'),
            Plain::text($data, 'hint'),
            Plain::text($data, 'example'),
            true === ($data['required'] ?? false) && $type->asks(),
            self::options($data, $type, $at),
            Plain::whole($data, 'maxLength', $type->longest()),
            $type->isFiles() ? Plain::whole($data, 'maxFiles', $files) : $files,
            min(self::MAX_BYTES, Plain::whole($data, 'maxBytes', $files > 0 ? self::MAX_BYTES : 0)),
            $destination,
            self::checks($data, $at),
            isset($raw['showIf']) ? $this->condition($raw['showIf'], $key, $at) : null,
            isset($raw['requiredIf']) ? $this->condition($raw['requiredIf'], $key, $at) : null,
            true === ($data['half'] ?? false),
            true === ($data['staffOnly'] ?? false),
            Plain::text($data, 'parameter'),
            $raw,
            $customField,
            true === ($data['third'] ?? false),
            Plain::text($data, 'default'),
            true === ($data['asList'] ?? false),
            Plain::oneOf($data, 'fileKinds', ['any', 'images', 'pdf'], $at),
            $type instanceof Lines ? $this->lines($data, $at) : [],
            $type instanceof Lines ? max(1, min(50, Plain::whole($data, 'maxLines', 10))) : 0,
            $type instanceof Statement ? self::picture($data, $at) : '',
            isset($data['points']) ? Points::read(\is_array($data['points']) ? $data['points'] : [], $type, $at) : null,
        );
    }

    /**
     * @param array<mixed> $data
     *
     * @return list<Question>
     */
    private function lines(array $data, string $at): array
    {
        $questions = [];
        foreach (Plain::rows($data, 'lines') as $i => $row) {
            $there = "$at, column ".($i + 1);
            $key = self::key($row, $there);
            if (isset($questions[$key])) {
                throw new InvalidDefinition("$there: the key “{$key}” stands twice");
            }
            $type = Kinds::find(Plain::text($row, 'type')) ?? throw new InvalidDefinition("$there: the type is not known");
            if (!$type->fitsInLines()) {
                throw new InvalidDefinition("$there: a table cannot ask for this kind of answer");
            }
            if (isset($row['showIf']) || isset($row['requiredIf'])) {
                throw new InvalidDefinition("$there: the columns of a table have no conditions");
            }
            $questions[$key] = $this->one($row, $key, $type, $there);
        }
        if ([] === $questions || \count($questions) > self::MAX_LINE_QUESTIONS) {
            throw new InvalidDefinition("$at: a table asks 1 to ".self::MAX_LINE_QUESTIONS.' things a line');
        }

        return array_values($questions);
    }

    /** @param array<mixed> $data */
    private static function key(array $data, string $at): string
    {
        $key = Plain::text($data, 'key');

        return 1 === preg_match('/^[a-z][a-z0-9_]{0,39}$/', $key)
            ? $key
            : throw new InvalidDefinition("$at: a key is 1 to 40 small letters, figures and underlines, and starts with a letter");
    }

    /**
     * @param array<mixed> $data
     *
     * @return list<Option>
     */
    private static function options(array $data, QuestionKind $type, string $at): array
    {
        $options = array_map(
            static fn (array $option): Option => new Option(Plain::text($option, 'value'), Plain::text($option, 'label'), Plain::texts($option, 'also', 20, 60)),
            Plain::rows($data, 'options'),
        );
        if ($type->offersOptions() && [] === $options) {
            throw new InvalidDefinition("$at: it offers nothing to choose from");
        }

        return $options;
    }

    /**
     * @param array<mixed> $data
     *
     * @return array{Destination|null, string} with the key of the custom field
     */
    private static function destination(array $data, QuestionKind $type, string $at): array
    {
        $name = Plain::text($data, 'destination');
        if ('' === $name) {
            return [null, ''];
        }
        if (1 === preg_match('/^(custom\.(?:client|asset|project))\.([a-z][a-z0-9_]{0,39})$/', $name, $m)) {
            return [] !== $type->customKinds() ? [Destination::from($m[1]), $m[2]] : throw new InvalidDefinition("$at: an answer of this kind cannot go to a custom field");
        }
        $destination = Destination::tryFrom($name);
        if (null === $destination || null !== $destination->customOf()) {
            throw new InvalidDefinition("$at: the destination “{$name}” is not known");
        }

        return \in_array($destination, $type->destinations(), true) ? [$destination, ''] : throw new InvalidDefinition("$at: an answer of this kind cannot go to “{$name}”");
    }

    /**
     * The picture of a statement, inside the definition so that a version and a file hold all that they show.
     *
     * @param array<mixed> $data
     */
    private static function picture(array $data, string $at): string
    {
        $picture = Plain::text($data, 'picture');
        if ('' === $picture) {
            return '';
        }
        if (\strlen($picture) > self::MAX_PICTURE) {
            throw new InvalidDefinition("$at: the picture is larger than ".(self::MAX_PICTURE / 1000).' kB');
        }
        if (
            1 !== preg_match('#^data:(image/(?:png|jpeg|webp));base64,([A-Za-z0-9+/]+=*)$#D', $picture, $m)
            || ($m[1] !== (getimagesizefromstring((string) base64_decode($m[2], true))['mime'] ?? ''))
        ) {
            throw new InvalidDefinition("$at: the picture is no PNG, JPEG or WebP");
        }

        return $picture;
    }

    /** @param array<mixed> $data */
    private static function checks(array $data, string $at): Checks
    {
        $pattern = Plain::text($data, 'pattern');
        if ('' !== $pattern && (mb_strlen($pattern) > self::MAX_PATTERN || false === @preg_match(Pattern::delimited($pattern), ''))) {
            throw new InvalidDefinition("$at: the pattern cannot be read");
        }
        if ('' !== $pattern && '' === Plain::text($data, 'message')) {
            throw new InvalidDefinition("$at: a pattern needs a message that says what to write");
        }

        return new Checks(Plain::text($data, 'min'), Plain::text($data, 'max'), $pattern, Plain::text($data, 'message'), Plain::whole($data, 'minLength', 0));
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Condition\Condition;

/** One thing asked. Numbered from 1 through all pages of its form; 0 for what only tells. */
final readonly class Question
{
    /**
     * @param list<Option> $options what a one-of question offers
     * @param int $maxLength in characters
     * @param int $maxFiles how many files may be sent
     * @param int $maxBytes how large each file may be
     * @param string $customField the key of the custom field that the destination names
     * @param Condition|null $showIf asked only when this holds of the questions before
     * @param Condition|null $requiredIf needed also when this holds
     * @param bool $half may stand beside another on one line
     * @param bool $third may stand beside two others on one line
     * @param bool $staffOnly never sent to the public
     * @param string $parameter the address parameter that a hidden value comes from
     * @param string $default what stands in the field before anybody writes
     * @param bool $asList whether choices fold into a list
     * @param string $fileKinds “any”, “images” or “pdf”
     * @param list<self> $lines what each line of a table asks; they carry the table's number
     * @param int $maxLines how many lines a table takes
     * @param string $picture of a statement: a data: address (RFC 2397) of a PNG, JPEG or WebP; its help line tells what it shows
     * @param Points|null $points what its answer counts towards how soon it is looked at
     * @param array{showIf?: array<mixed>, requiredIf?: array<mixed>} $raw the conditions as stored, for the browser
     */
    public function __construct(
        public string $key,
        public int $number,
        public QuestionKind $type,
        public string $wording,
        public string $hint,
        public string $example,
        public bool $required,
        public array $options,
        public int $maxLength,
        public int $maxFiles,
        public int $maxBytes,
        public ?Destination $destination,
        public Checks $checks = new Checks(),
        public ?Condition $showIf = null,
        public ?Condition $requiredIf = null,
        public bool $half = false,
        public bool $staffOnly = false,
        public string $parameter = '',
        public array $raw = [],
        public string $customField = '',
        public bool $third = false,
        public string $default = '',
        public bool $asList = false,
        public string $fileKinds = 'any',
        public array $lines = [],
        public int $maxLines = 0,
        public string $picture = '',
        public ?Points $points = null,
    ) {
    }

    /** The label of an option, or the value itself where no option has it. */
    public function labelOf(string $value): string
    {
        foreach ($this->options as $option) {
            if ($option->value === $value) {
                return $option->label;
            }
        }

        return $value;
    }

    /** The same question without its place on a sheet. */
    public function withoutNumber(): self
    {
        return new self(
            $this->key, 0, $this->type, $this->wording, $this->hint, $this->example, $this->required, $this->options, $this->maxLength,
            $this->maxFiles, $this->maxBytes, $this->destination,
            customField: $this->customField, lines: $this->lines, maxLines: $this->maxLines, points: $this->points,
        );
    }

    /**
     * The same question, with choices behind its own that it has not.
     *
     * @param list<Option> $options
     */
    public function alsoOffering(array $options): self
    {
        $others = array_values(array_filter($options, fn (Option $option): bool => !$this->offers($option->value)));

        if ([] === $others) {
            return $this;
        }

        return new self(
            $this->key, $this->number, $this->type, $this->wording, $this->hint, $this->example, $this->required, [...$this->options, ...$others],
            $this->maxLength, $this->maxFiles, $this->maxBytes, $this->destination,
            $this->checks, $this->showIf, $this->requiredIf, $this->half, $this->staffOnly, $this->parameter, $this->raw, $this->customField,
            $this->third, $this->default, $this->asList, $this->fileKinds,
            $this->lines, $this->maxLines, $this->picture, $this->points,
        );
    }

    public function offers(string $value): bool
    {
        foreach ($this->options as $option) {
            if ($option->value === $value) {
                return true;
            }
        }

        return false;
    }
}

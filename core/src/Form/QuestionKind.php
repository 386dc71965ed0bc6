<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Brick\Math\BigDecimal;
use Telamon\Core\Text\Fold;
use Telamon\Core\Time\DayOrder;

/**
 * One kind of question: what its answers may be, how they are checked, read, told, ordered and counted. All kinds
 * stand in Kinds::ALL.
 */
abstract class QuestionKind
{
    private const LONGEST_ORDERED = 120;
    /** What cannot be read as what was asked for stands behind everything that can. */
    private const UNREAD = '~';

    /** As it is stored, and as the contract names it. */
    abstract public static function name(): string;

    /** @return list<Destination> the record fields that an answer may go to, the usual one first */
    abstract public function destinations(): array;

    /**
     * @param bool $needed whether it must be answered
     *
     * @return string|null what to do, in words; null where nothing is wrong
     */
    abstract public function fault(Question $question, mixed $answer, bool $needed, Asking $at): ?string;

    /** The answer as one text, for people to read; empty where nothing was answered. */
    abstract public function text(Question $question, mixed $answer): string;

    /**
     * @param int $line of a table, from 1; 0 outside of one
     *
     * @return Reading|null null where nothing was answered
     */
    public function read(Question $question, mixed $answer, DayOrder $order, Readers $by, int $line = 0): ?Reading
    {
        $text = trim($this->text($question, $answer));

        return '' === $text ? null : new Reading($question, $text, \is_string($answer) ? trim($answer) : $text, [], $line);
    }

    /** The length in characters that an answer, or each part of one, may have when the question does not say. */
    public function longest(): int
    {
        return 200;
    }

    /**
     * An answer put right by staff, as it would have been sent.
     *
     * @param string $text as they wrote it; of several choices or parts, one a line
     *
     * @return string|list<string>|array<string, string>|null null where it cannot be written as text
     */
    public function corrected(string $text): string|array|null
    {
        return $this->asks() && 0 === $this->files() ? $text : null;
    }

    /** @return list<string> the parts that an answer is sent in, by their keys; none where it is one text or a list */
    public function parts(): array
    {
        return [];
    }

    /** @return array<string, string> what the parts are called, by their keys in order; none where it is one text or a list */
    public function partNames(): array
    {
        return [];
    }

    /** Whether anything is asked; what only tells has no number and no answer. */
    public function asks(): bool
    {
        return true;
    }

    /** Whether it is put to whoever fills the form in. */
    public function isShown(): bool
    {
        return true;
    }

    public function offersOptions(): bool
    {
        return false;
    }

    /** How many files it takes where the question does not say. */
    public function files(): int
    {
        return 0;
    }

    /** Whether its answer are files that are named by their uploads, told apart from what is written. */
    public function isFiles(): bool
    {
        return false;
    }

    /** Whether a line of a table may ask this. */
    public function fitsInLines(): bool
    {
        return true;
    }

    /** Whether an answer may be carried over to another form that asks the same. */
    public function carries(): bool
    {
        return true;
    }

    /** @return list<CustomKind> own fields that can hold an answer */
    public function customKinds(): array
    {
        return [CustomKind::Text];
    }

    /** Whether an answer that could not be read is one whose text is all there is. */
    public function mustBeRead(): bool
    {
        return false;
    }

    /** Null where there is nothing to count. */
    public function counting(): ?Counting
    {
        return null;
    }

    /** Null where an answer cannot count towards an order. */
    public function pointing(): ?Pointing
    {
        return null;
    }

    /** The answer with choices by their values: what conditions ask about. */
    public function meant(Question $question, mixed $answer): mixed
    {
        return $answer;
    }

    /** The same, with amounts in plain figures: what rules ask about. */
    public function understood(Question $question, mixed $answer): mixed
    {
        return $this->meant($question, $answer);
    }

    /** @return list<string> values that a chart has a place for even where nobody chose them */
    public function offered(Question $question): array
    {
        return array_map(static fn (Option $option): string => $option->value, $question->options);
    }

    /** What a counted value is called. */
    public function labelOf(Question $question, string $value): string
    {
        return $question->labelOf($value);
    }

    /** A value that is counted as a number; null where it is none. */
    public function number(string $text): ?BigDecimal
    {
        return null;
    }

    /**
     * What is counted of an answer: each choice once, a number as a plain decimal.
     *
     * @return list<string> empty where nothing was answered
     */
    public function counted(Question $question, mixed $answer): array
    {
        $texts = array_map(trim(...), array_filter(\is_array($answer) ? $answer : [$answer], static fn (mixed $text): bool => \is_string($text) && '' !== trim($text)));

        return array_values(array_unique($texts));
    }

    /** @return string compares by bytes as the answers do by meaning; empty where nothing was answered */
    public function ordered(Question $question, mixed $answer, DayOrder $order): string
    {
        $text = $this->text($question, $answer);
        if ('' === trim($text)) {
            return '';
        }
        $folded = substr(Fold::text($text), 0, self::LONGEST_ORDERED);
        if (!$this->isOrderedByMeaning()) {
            // Signs alone are an answer too.
            return '' === $folded ? self::UNREAD : $folded;
        }

        return $this->meaning($answer, $text, $order) ?? self::UNREAD.$folded;
    }

    /** Whether answers stand in another order than their words. */
    protected function isOrderedByMeaning(): bool
    {
        return false;
    }

    /** @return string|null what an answer is ordered by; null where it cannot be read as what was asked for */
    protected function meaning(mixed $answer, string $text, DayOrder $order): ?string
    {
        return null;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionKind;

/** Kinds whose answer is sent in parts. */
abstract class InParts extends QuestionKind
{
    public function fitsInLines(): bool
    {
        return false;
    }

    public function partNames(): array
    {
        return array_combine($this->parts(), array_map(fn (string $part): string => $this->names()[$part] ?? $part, $this->parts()));
    }

    public function corrected(string $text): ?array
    {
        $lines = array_map(trim(...), explode("\n", $text));
        $parts = [];
        foreach ($this->parts() as $i => $part) {
            $parts[$part] = $lines[$i] ?? '';
        }

        return $parts;
    }

    public function fault(Question $question, mixed $answer, bool $needed, Asking $at): ?string
    {
        $shape = 'Send this in its parts: '.implode(', ', $this->parts()).'.';
        if (null !== $answer && !\is_array($answer)) {
            return $shape;
        }
        $parts = [];
        foreach ($answer ?? [] as $name => $text) {
            if (!\in_array($name, $this->parts(), true) || !\is_string($text)) {
                return $shape;
            }
            if (!mb_check_encoding($text, 'UTF-8') || mb_strlen(trim($text)) > $question->maxLength) {
                return ($this->names()[$name] ?? 'This').": shorten this to {$question->maxLength} characters.";
            }
            $parts[$name] = trim($text);
        }
        $parts = array_filter($parts, static fn (string $text): bool => '' !== $text);
        if ([] === array_intersect_key($parts, array_flip($this->written()))) {
            return $needed ? $this->missing() : null;
        }

        return $this->wrong($question, $parts, $at);
    }

    public function text(Question $question, mixed $answer): string
    {
        if (\is_string($answer)) {
            return $answer;
        }
        $parts = \is_array($answer) ? array_map(static fn (string $part): string => self::part($answer, $part), $this->parts()) : [];

        return implode($this->between(), array_filter($parts, static fn (string $text): bool => '' !== $text));
    }

    /** @return array<string, string> what the parts are called */
    abstract protected function names(): array;

    /** @return list<string> the parts that cannot be left out once anything is written */
    abstract protected function needed(): array;

    /** @return list<string> the parts that are written: without any of them nothing was answered */
    protected function written(): array
    {
        return $this->parts();
    }

    protected function between(): string
    {
        return ', ';
    }

    protected function missing(): string
    {
        return 'This is needed.';
    }

    /** @param array<string, string> $given trimmed, none empty */
    protected function wrong(Question $question, array $given, Asking $at): ?string
    {
        return $this->incomplete($given);
    }

    /** @param array<string, string> $given */
    protected function incomplete(array $given): ?string
    {
        foreach ($this->needed() as $part) {
            if (!isset($given[$part])) {
                return ($this->names()[$part] ?? 'Name').': this is needed too.';
            }
        }

        return null;
    }

    protected static function part(mixed $answer, string $name): string
    {
        return \is_array($answer) && \is_string($answer[$name] ?? null) ? trim($answer[$name]) : '';
    }
}

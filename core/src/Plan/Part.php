<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/** A piece of a plan line's sentence: plain words, or a value with where it came from. */
final readonly class Part
{
    /**
     * @param int|null $answer the number of the answer it came from; none for 0
     * @param array{kind: string, id: string, label: string}|null $record the record it names
     */
    private function __construct(public string $text, public bool $value, public ?int $answer, public ?array $record)
    {
    }

    public static function words(string $text): self
    {
        return new self($text, false, null, null);
    }

    public static function value(string $text, ?int $answer = null): self
    {
        return new self($text, true, 0 === $answer ? null : $answer, null);
    }

    public static function record(string $kind, string $id, string $label): self
    {
        return new self($label, true, null, ['kind' => $kind, 'id' => $id, 'label' => $label]);
    }

    /** @return array{text: string, value: bool, answer: int|null, record: array{kind: string, id: string, label: string}|null} */
    public function toArray(): array
    {
        return ['text' => $this->text, 'value' => $this->value, 'answer' => $this->answer, 'record' => $this->record];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Form\Kinds\Day;

/** An answer turned into a typed value, with where it came from and its doubts. */
final readonly class Reading
{
    /**
     * @param string $text the answer as written, trimmed
     * @param string|list<string>|null $value normalised: E.164 phone, mail address, ISO 8601 day, option value,
     *                                        upload ids, given and family name, text; null where nothing was answered or it is in doubt
     * @param list<string> $possible the values it may have, where there is more than one
     * @param int $line of a table, from 1; 0 outside of one
     * @param bool $isAbout whether an amount was said to be rough, a bound or a span
     */
    public function __construct(
        public Question $question,
        public string $text,
        public string|array|null $value,
        public array $possible = [],
        public int $line = 0,
        public bool $isAbout = false,
    ) {
    }

    public function isDoubtful(): bool
    {
        return \count($this->possible) > 1;
    }

    /** Whether it could not be read as what was asked for: its text is all there is. */
    public function isUnread(): bool
    {
        return null === $this->value && [] === $this->possible
            && $this->question->type->mustBeRead();
    }

    /** Whether somebody must choose between its values: a day in doubt that goes to a field for days. */
    public function needsChoice(): bool
    {
        $destination = $this->question->destination;

        return $this->isDoubtful() && $this->question->type instanceof Day
            && (Destination::ProjectReadyBy === $destination || null !== $destination?->customOf());
    }

    /** The same, asked on another sheet: a number would point at the wrong answer. */
    public function withoutNumber(): self
    {
        return new self($this->question->withoutNumber(), $this->text, $this->value, $this->possible, $this->line, $this->isAbout);
    }

    public function string(): string
    {
        return \is_string($this->value) ? $this->value : '';
    }

    /** @return list<string> one for each choice; one where it is a single text */
    public function texts(): array
    {
        return $this->question->type->offersOptions() && \is_array($this->value) ? array_map($this->question->labelOf(...), $this->value) : [$this->text];
    }
}

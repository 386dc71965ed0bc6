<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/** The words of a line: its sentence, what is noted beside it, and why it is there. */
final readonly class Said
{
    /** @param list<Part> $parts the sentence */
    private function __construct(public array $parts, public string $note, public string $reason, private Sources $from, public ?Leads $leads = null)
    {
    }

    public static function words(string|Part ...$sentence): self
    {
        return new self(array_map(static fn (string|Part $piece): Part => $piece instanceof Part ? $piece : Part::words($piece), array_values($sentence)), '', '', Sources::none());
    }

    public static function of(Effect $effect, Telling $telling, Sources $from): self
    {
        return new self($effect->sentence($telling, $from), '', '', $from);
    }

    public function noting(string $note): self
    {
        return new self($this->parts, $note, $this->reason, $this->from, $this->leads);
    }

    public function because(string $reason, ?Leads $leads = null): self
    {
        return new self($this->parts, $this->note, $reason, $this->from, $leads);
    }

    /**
     * What the effect says with its new values: those that somebody typed came from no answer.
     *
     * @param list<string> $changed names of values
     */
    public function amended(Effect $effect, Telling $telling, array $changed): self
    {
        $from = $this->from->without($changed);

        return new self($effect->sentence($telling, $from), $this->note, $this->reason, $from, $this->leads);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

use Telamon\Core\Form\Reading;

/** Which answers the values of an effect came from. */
final readonly class Sources
{
    /** @param array<string, list<int>> $answers numbers of answers, by the name of the value */
    private function __construct(private array $answers)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    /** @param array<string, Reading|list<Reading>|null> $readings by the name of the value */
    public static function of(array $readings): self
    {
        $answers = [];
        foreach ($readings as $name => $from) {
            $answers[$name] = array_map(static fn (Reading $reading): int => $reading->question->number, \is_array($from) ? $from : (null === $from ? [] : [$from]));
        }

        return new self(array_filter($answers));
    }

    /** @param list<string> $names of values that somebody typed instead */
    public function without(array $names): self
    {
        return new self(array_diff_key($this->answers, array_flip($names)));
    }

    /**
     * A value as the sentence says it, with where it came from.
     *
     * @param string ...$also other values that it was put together from: it came from an answer if all of them did
     */
    public function part(string $name, string $shown, string ...$also): Part
    {
        return Part::value($shown, [] === array_diff_key(array_flip($also), $this->answers) ? ($this->answers[$name][0] ?? null) : null);
    }

    /** @return list<Part> the same words once for each answer that a value was put together from */
    public function each(string $name, string $shown): array
    {
        return array_map(static fn (int $answer): Part => Part::value($shown, $answer), $this->answers[$name] ?? []);
    }
}

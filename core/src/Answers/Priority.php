<?php

declare(strict_types=1);

namespace Telamon\Core\Answers;

use Telamon\Core\Form\Readings;

/** How much a submission is worth being looked at before others that are as late: points by what was answered. */
final readonly class Priority
{
    /** @param list<array{part: string, question: int, text: string, points: int}> $parts in the order of the questions */
    private function __construct(public array $parts)
    {
    }

    /** @param string $day ISO 8601 day that it came, at the business */
    public static function of(Readings $readings, string $day): self
    {
        $parts = [];
        foreach ($readings->all as $reading) {
            $points = $reading->question->points;
            if (null === $points || $reading->line > 0) {
                continue;
            }
            $values = \is_array($reading->value) ? $reading->value : [$reading->string()];
            $parts[] = ['part' => $points->part, 'question' => $reading->question->number, 'text' => $reading->text, 'points' => $points->of($values, $day)];
        }

        return new self($parts);
    }

    public function points(): int
    {
        return array_sum(array_column($this->parts, 'points'));
    }
}

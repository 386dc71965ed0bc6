<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Condition\Facts;

/** What the answers to a question count, for the order in which arrivals are looked at. */
final readonly class Points
{
    /** What an inquiry is worth pursuing for: need, budget, authority to decide, start (common practice in sales). */
    public const PARTS = ['need', 'budget', 'authority', 'start'];
    private const MOST = 100;

    /** @param list<array{at: string, points: int}> $steps at: the value of an option, “yes”, the least amount, or the most days from the day it came */
    private function __construct(public string $part, public array $steps, private Pointing $pointing)
    {
    }

    /**
     * @param array<mixed> $data part and steps, as stored
     *
     * @throws InvalidDefinition
     */
    public static function read(array $data, QuestionKind $type, string $at): self
    {
        $pointing = $type->pointing() ?? throw new InvalidDefinition("$at: an answer of this kind cannot count");
        $part = Plain::oneOf($data, 'part', self::PARTS, $at);
        $steps = [];
        foreach (Plain::rows($data, 'steps') as $row) {
            $points = $row['points'] ?? null;
            $step = Plain::text($row, 'at');
            if (!\is_int($points) || $points < 0 || $points > self::MOST) {
                throw new InvalidDefinition("$at: points are whole numbers from 0 to ".self::MOST);
            }
            if (Pointing::ByChoice !== $pointing && null === Facts::asNumber($step)) {
                throw new InvalidDefinition("$at: points are given from an amount, or within a number of days");
            }
            $steps[] = ['at' => $step, 'points' => $points];
        }

        return new self($part, $steps, $pointing);
    }

    /**
     * @param list<string> $values options, a decimal, or an ISO 8601 day
     * @param string $day ISO 8601 day that it came
     */
    public function of(array $values, string $day): int
    {
        $most = 0;
        foreach ($this->steps as $step) {
            foreach ($values as $value) {
                if ($this->pointing->reaches($value, $step['at'], $day)) {
                    $most = max($most, $step['points']);
                }
            }
        }

        return $most;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

use Telamon\Core\Form\Reading;
use Telamon\Core\Time\DayWords;

/** A day that an answer names, and the choice between days where it can be read in more than one way. */
final readonly class DayChoice
{
    private function __construct(public ?\DateTimeImmutable $day, public ?Choice $choice)
    {
    }

    /** @param array<string, string> $decisions */
    public static function of(?Reading $reading, string $key, array $decisions, \DateTimeImmutable $today): self
    {
        $iso = $reading?->string() ?? '';
        if (null === $reading || !$reading->isDoubtful()) {
            return new self('' === $iso ? null : self::utc($iso), null);
        }
        $chosen = \in_array($decisions[$key] ?? '', $reading->possible, true) ? $decisions[$key] : null;
        // Of two days, one of which is over, the other is meant; it can still be changed.
        $toCome = array_values(array_filter($reading->possible, static fn (string $day): bool => $day >= $today->format('Y-m-d')));
        $chosen ??= 1 === \count($toCome) && \count($reading->possible) > 1 ? $toCome[0] : null;
        $options = [];
        foreach ($reading->possible as $i => $possible) {
            $day = self::utc($possible);
            $options[] = ['value' => $possible, 'hotkey' => (string) ($i + 1), 'label' => DayWords::short($day, $today).', '.DayWords::distance($day, $today)];
        }

        return new self(null === $chosen ? null : self::utc($chosen), new Choice($key, $chosen, $options));
    }

    /**
     * The line that tells the day, or asks which is meant.
     *
     * @param string $words what the day is for, “Ready by ”
     * @param string $key of the line
     */
    public function line(Reading $reading, string $key, string $group, string $words, \DateTimeImmutable $today, ?Effect $effect = null): PlanLine
    {
        $number = $reading->question->number;
        $line = null === $this->day
            ? PlanLine::telling($key, $group, $words, Part::value($reading->text, $number), ': which day is meant?')
            : PlanLine::telling($key, $group, $words, Part::value(DayWords::short($this->day, $today), $number), ', '.DayWords::distance($this->day, $today));

        return $line->doing($effect)->because(null === $this->choice ? '' : 'day or month first?')->offering($this->choice);
    }

    private static function utc(string $iso): \DateTimeImmutable
    {
        return new \DateTimeImmutable($iso, new \DateTimeZone('UTC'));
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

/** Reads a series out of its stored form, and refuses what would never end or never begin. */
final class SeriesReader
{
    private const MOST_STEPS = 60;

    /**
     * @param array<array-key, mixed> $given as FollowUpCourses in the contract
     *
     * @throws InvalidSeries
     */
    public function read(array $given): Series
    {
        $courses = [];
        $keys = [];
        foreach (Course::cases() as $course) {
            $steps = $given[$course->value] ?? [];
            if (!\is_array($steps)) {
                throw new InvalidSeries("courses.{$course->value}", 'Send a list of steps.');
            }
            foreach (array_values($steps) as $i => $step) {
                $path = "courses.{$course->value}.$i";
                $read = $this->step(\is_array($step) ? $step : [], $path);
                if (isset($keys[$read->key])) {
                    throw new InvalidSeries("$path.key", 'Two steps have one key.');
                }
                $keys[$read->key] = true;
                $courses[$course->value][] = $read;
            }
        }
        if ([] === ($courses['main'] ?? [])) {
            throw new InvalidSeries('courses.main', 'A follow-up has at least one step.');
        }
        if (\count($keys) > self::MOST_STEPS) {
            throw new InvalidSeries('courses.main', 'A follow-up has at most '.self::MOST_STEPS.' steps.');
        }
        $series = new Series($courses);
        $this->refuseCircles($series);

        return $series;
    }

    /**
     * @param array<array-key, mixed> $given
     *
     * @throws InvalidSeries
     */
    private function step(array $given, string $path): Step
    {
        $text = static fn (string $field, int $most): string => \is_string($given[$field] ?? null) ? mb_substr(trim($given[$field]), 0, $most) : '';
        $kind = StepKind::tryFrom($text('kind', 20)) ?? throw new InvalidSeries("$path.kind", 'Choose what happens.');
        $key = $text('key', 40);
        if (1 !== preg_match('/^[a-z0-9-]{1,40}$/', $key)) {
            throw new InvalidSeries("$path.key", 'A step has a key of small letters and figures.');
        }
        if (StepKind::Wait === $kind) {
            return new Step($key, $kind, wait: $this->wait($given, $path));
        }
        $what = $text('what', StepKind::Notice === $kind ? 500 : 200);
        if ('' === $what && StepKind::Stop !== $kind && StepKind::Quote !== $kind) {
            throw new InvalidSeries("$path.what", match ($kind) {
                StepKind::Send => 'Choose a template.',
                StepKind::Times => 'Choose a booking page.',
                StepKind::Form => 'Choose a form.',
                StepKind::Task => 'Say what is to be done.',
                StepKind::Notice => 'Say what staff are told.',
                StepKind::Stage => 'Choose a stage.',
                StepKind::Tag => 'Write the tag.',
                default => 'Choose where it goes on.',
            });
        }
        $days = $given['days'] ?? 0;

        return new Step(
            $key,
            $kind,
            $what,
            StepKind::Task === $kind ? ('coordinator' === $text('who', 40) ? 'coordinator' : 'lead') : $text('who', 40),
            \is_int($days) ? max(0, min(365, $days)) : 0,
            asText: StepKind::Send === $kind && true === ($given['asText'] ?? null),
        );
    }

    /**
     * @param array<array-key, mixed> $given
     *
     * @throws InvalidSeries
     */
    private function wait(array $given, string $path): Wait
    {
        $amount = $given['amount'] ?? null;
        $unit = $given['unit'] ?? 'days';
        if (!\is_int($amount) || $amount < 1) {
            throw new InvalidSeries("$path.amount", 'Write how long, as a number from 1 on.');
        }
        if (!\in_array($unit, ['hours', 'days', 'working-days'], true)) {
            throw new InvalidSeries("$path.unit", 'Choose hours, days or working days.');
        }
        if ($amount > Wait::LONGEST * ('hours' === $unit ? 24 : 1)) {
            throw new InvalidSeries("$path.amount", 'A wait has at most '.Wait::LONGEST.' days. Give a task with a day instead.');
        }
        $at = $given['at'] ?? '';
        if (!\is_string($at) || ('' !== $at && 1 !== preg_match('/^([01][0-9]|2[0-3]):[0-5][0-9]$/', $at))) {
            throw new InvalidSeries("$path.at", 'Write a time like 10:00.');
        }

        return new Wait($amount, $unit, $at, true === ($given['named'] ?? null));
    }

    /**
     * A way back to a step must wait somewhere on its way round, or it would send without end.
     *
     * @throws InvalidSeries
     */
    private function refuseCircles(Series $series): void
    {
        foreach ($series->courses as $course => $steps) {
            foreach ($steps as $i => $step) {
                if (StepKind::GoOn !== $step->kind) {
                    continue;
                }
                $to = $series->find($step->what) ?? throw new InvalidSeries("courses.$course.$i.what", 'The step that it goes on with is gone.');
                $seen = [];
                $at = $to;
                while (true) {
                    $one = $series->at($at);
                    if (null === $one || StepKind::Wait === $one->kind || StepKind::Stop === $one->kind) {
                        break;
                    }
                    if (isset($seen[$one->key])) {
                        throw new InvalidSeries("courses.$course.$i.what", 'This leads round in a circle that never waits. Put a wait in between.');
                    }
                    $seen[$one->key] = true;
                    $at = StepKind::GoOn === $one->kind ? $series->find($one->what) ?? $at : new Stand($at->course, $at->index + 1);
                }
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

/** What a follow-up does: courses of steps. A course that is not there ends it at once; “stop” always does. */
final readonly class Series
{
    /** @param array<string, list<Step>> $courses by Course */
    public function __construct(public array $courses)
    {
    }

    /** @return list<Step> */
    public function steps(Course $course): array
    {
        return $this->courses[$course->value] ?? [];
    }

    public function at(Stand $stand): ?Step
    {
        return $this->steps($stand->course)[$stand->index] ?? null;
    }

    /** Where a step stands; null where it is gone. */
    public function find(string $key): ?Stand
    {
        foreach ($this->courses as $course => $steps) {
            foreach ($steps as $index => $step) {
                if ($step->key === $key) {
                    return new Stand(Course::from($course), $index);
                }
            }
        }

        return null;
    }

    /** @return list<string> keys of the templates that it sends */
    public function templates(): array
    {
        $keys = [];
        foreach ($this->courses as $steps) {
            foreach ($steps as $step) {
                if (StepKind::Send === $step->kind) {
                    $keys[] = $step->what;
                }
            }
        }

        return array_values(array_unique($keys));
    }

    /** The same where a stage or a tag is called otherwise. */
    public function renamed(StepKind $kind, string $from, string $to): self
    {
        $called = static fn (Step $step): Step => $step->kind === $kind && $step->what === $from ? new Step(
            $step->key,
            $kind,
            $to,
            $step->who,
            $step->days,
            $step->wait,
            $step->asText,
        ) : $step;

        return new self(array_map(static fn (array $steps): array => array_map($called, $steps), $this->courses));
    }

    /** @return array<string, list<array<string, mixed>>> as FollowUpCourses in the contract */
    public function toArray(): array
    {
        $all = [];
        foreach (Course::cases() as $course) {
            $all[$course->value] = array_map(static fn (Step $step): array => $step->toArray(), $this->steps($course));
        }

        return $all;
    }
}

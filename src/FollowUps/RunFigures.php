<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Telamon\Core\FollowUps\AnswerCurve;
use Telamon\Core\FollowUps\Course;
use Telamon\Record\RecordRef;

/** What became of those who were inside a follow-up: who has not answered yet, as a whole and after each step. */
final readonly class RunFigures
{
    private const NAMED = 100;

    /**
     * @param list<FollowUpRun> $runs the latest begun first
     * @param \DateTimeImmutable $since what began before is not counted in curves: it is watched only as long as it lasts
     */
    public function __construct(private array $runs, private \DateTimeImmutable $since, private \DateTimeImmutable $now)
    {
    }

    /** @return array<string, mixed> as AnswerCurve in the contract */
    public function curve(): array
    {
        return self::told(array_map(fn (FollowUpRun $run): array => $this->watched($run, $run->startedAt), array_values(array_filter($this->runs, $this->isKnown(...)))));
    }

    /** @return list<array<string, mixed>> as FollowUpFigure in the contract, by step: how many came through it, answered after it, booked after it, who they are, and how long it took them */
    public function steps(): array
    {
        $people = $watched = [];
        foreach ($this->runs as $run) {
            $seen = [];
            foreach ($run->log as $entry) {
                $key = $entry['key'];
                if (isset($seen[$key])) {
                    continue;
                }
                $seen[$key] = true;
                $people[$key][] = ['run' => $run->id, 'client' => RecordRef::of($run->client), 'outcome' => self::outcome($run, $key)];
                $at = new \DateTimeImmutable($entry['at']);
                // What is done because they answered waits for no answer.
                if ($this->isKnown($run) && (null === $run->answeredOn || $at <= $run->answeredOn)) {
                    $watched[$key][] = $this->watched($run, $at);
                }
            }
        }
        $figures = [];
        foreach ($people as $key => $all) {
            $count = array_count_values(array_column($all, 'outcome'));
            // A stable sort: within each kind the latest begun stays first.
            usort($all, static fn (array $a, array $b): int => ('none' === $a['outcome']) <=> ('none' === $b['outcome']));
            $figures[] = [
                'key' => "$key",
                'done' => \count($all),
                'answered' => $count['answered'] ?? 0,
                'booked' => $count['booked'] ?? 0,
                'forms' => $count['form'] ?? 0,
                'people' => \array_slice($all, 0, self::NAMED),
                'curve' => self::told($watched[$key] ?? []),
            ];
        }

        return $figures;
    }

    private static function outcome(FollowUpRun $run, string $key): string
    {
        return match (true) {
            $key !== $run->answeredAt => 'none',
            Course::Booked === $run->course => 'booked',
            Course::Form === $run->course => 'form',
            default => 'answered',
        };
    }

    /** Where the time of an answer was not kept, nothing is known. */
    private function isKnown(FollowUpRun $run): bool
    {
        return $run->startedAt >= $this->since && (null !== $run->answeredOn || '' === $run->answeredAt);
    }

    /** @return array{days: float, answered: bool} */
    private function watched(FollowUpRun $run, \DateTimeImmutable $from): array
    {
        $until = $run->answeredOn ?? $run->endedAt ?? $this->now;

        return ['days' => ($until->getTimestamp() - $from->getTimestamp()) / 86400, 'answered' => null !== $run->answeredOn];
    }

    /**
     * @param list<array{days: float, answered: bool}> $watched
     *
     * @return array<string, mixed> as AnswerCurve in the contract
     */
    private static function told(array $watched): array
    {
        $curve = AnswerCurve::of($watched);

        return [
            'cases' => $curve->cases,
            'points' => array_map(static fn (array $point): array => ['days' => round($point['days'], 3), 'left' => round($point['left'], 4)], $curve->points),
        ];
    }
}

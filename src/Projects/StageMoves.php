<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Business\Profile;
use Telamon\Business\StageEnd;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\ChangedMeanwhile;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Role;
use Telamon\Staff\Staff;

/** Moves projects from stage to stage, and tells of it. */
final readonly class StageMoves
{
    public function __construct(
        private Changes $changes,
        private EventDispatcherInterface $events,
        private StageGate $gate,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param int $version of the project that was looked at
     * @param string $reason why an owner goes on where something is missing
     *
     * @throws Refusal where there is no such stage, or something is missing that it needs
     */
    public function move(Project $project, string $stage, int $version, Staff $staff, string $reason = ''): void
    {
        if (!\in_array($stage, $this->business->stages(), true)) {
            throw new InvalidInput('stage', 'Choose a stage that is there.');
        }
        $missing = $stage === $project->stage ? [] : $this->gate->missing($project, $this->needed($project->stage, $stage));
        if ([] !== $missing && ('' === $reason || Role::Owner !== $staff->role)) {
            throw new StageNotReached($stage, $missing, Role::Owner === $staff->role);
        }
        $words = [] === $missing ? '' : ' without '.implode(' and ', $missing).": $reason";
        $act = Act::of(ChangeKind::MoveStage, "moved {$project->recordLabel()} to $stage$words", $staff)->about($project)->looking($project, $version);
        $this->changes->carryOut($act, function () use ($project, $stage): void {
            $before = $project->stage;
            if ($before !== $stage) {
                $project->moveTo($stage, $this->business->stageEnd($stage), $this->clock->now());
                $this->events->dispatch(new StageChanged($project, $before));
            }
        });
    }

    /**
     * Closes a project as won or lost, and moves it to the first stage that means that, where there is one.
     *
     * @throws Refusal where it is closed already, or was changed meanwhile
     */
    public function close(Project $project, Edit $edit, Staff $staff): void
    {
        $outcome = StageEnd::tryFrom($edit->text('outcome', 4) ?? '');
        if (null === $outcome || StageEnd::Open === $outcome) {
            throw new InvalidInput('outcome', 'Say whether it is won or lost.');
        }
        $reason = $edit->text('reason', 300) ?? '';
        if (StageEnd::Lost === $outcome && '' === $reason) {
            throw new InvalidInput('reason', 'Say why, in a word or two: it is what you can learn from.');
        }
        $this->turn($project, "closed {$project->recordLabel()} as {$outcome->value}", $edit->version(), $staff, function () use ($project, $outcome, $reason): void {
            if (StageEnd::Open !== $project->outcome) {
                throw new ChangedMeanwhile("It is closed already, as {$project->outcome->value}.");
            }
            $before = $project->stage;
            $project->close($outcome, $reason, $this->clock->now());
            $this->moveOn($project, $before, $this->business->stageEnd($before) === $outcome ? null : $this->business->firstStage($outcome));
        });
    }

    /** @throws Refusal where it is open, or was changed meanwhile */
    public function reopen(Project $project, Edit $edit, Staff $staff): void
    {
        $this->turn($project, "opened {$project->recordLabel()} again", $edit->version(), $staff, function () use ($project): void {
            if (StageEnd::Open === $project->outcome) {
                throw new ChangedMeanwhile('It is open already.');
            }
            $before = $project->stage;
            $project->openAgain();
            $this->moveOn($project, $before, StageEnd::Open === $this->business->stageEnd($before) ? null : $this->business->firstStage(StageEnd::Open));
        });
    }

    /** Moves it as part of what else happens: to a stage that is there, while it is open. Call it inside a change. */
    public function within(Project $project, string $stage): void
    {
        if (StageEnd::Open === $project->outcome && $project->stage !== $stage && \in_array($stage, $this->business->stages(), true)) {
            $before = $project->stage;
            $project->moveTo($stage, $this->business->stageEnd($stage), $this->clock->now());
            $this->events->dispatch(new StageChanged($project, $before));
        }
    }

    /**
     * What a stage needs, and those that are passed over on the way to it: nobody goes round what stands before the work.
     *
     * @return list<string> keys
     */
    private function needed(string $from, string $to): array
    {
        $stages = $this->business->stages();
        [$at, $end] = [array_search($from, $stages, true), array_search($to, $stages, true)];
        $passed = \is_int($at) && \is_int($end) && $end > $at && StageEnd::Lost !== $this->business->stageEnd($to) ? \array_slice($stages, $at + 1, $end - $at) : [$to];

        return array_values(array_unique(array_merge(...array_map($this->business->stageNeeds(...), $passed))));
    }

    private function moveOn(Project $project, string $before, ?string $to): void
    {
        if (null !== $to && $to !== $before) {
            $project->moveTo($to, $project->outcome, $this->clock->now());
            $this->events->dispatch(new StageChanged($project, $before));
        }
    }

    /** @param \Closure(): void $do */
    private function turn(Project $project, string $words, int $version, Staff $staff, \Closure $do): void
    {
        $act = Act::of(ChangeKind::MoveStage, $words, $staff)->about($project)->looking($project, $version);
        $this->changes->carryOut($act, static function () use ($do): void {
            $do();
        });
    }
}

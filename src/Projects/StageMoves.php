<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Business\Profile;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Moves projects from stage to stage, and tells of it. */
final readonly class StageMoves
{
    public function __construct(private EntityManagerInterface $em, private Changes $changes, private EventDispatcherInterface $events, private Profile $business, private ClockInterface $clock)
    {
    }

    /**
     * @param int $version of the project that was looked at
     *
     * @throws Refusal where there is no such stage
     */
    public function move(Project $project, string $stage, int $version, Staff $staff): void
    {
        if (!\in_array($stage, $this->business->stages(), true)) {
            throw new InvalidInput('stage', 'Choose a stage that is there.');
        }
        $change = new Change(ChangeKind::MoveStage, mb_substr("moved {$project->recordLabel()} to $stage", 0, 300), $staff, $this->clock->now(), null, 'project', $project->id, $project->recordLabel());
        $this->changes->carryOut($change, function () use ($project, $stage, $version): void {
            $this->em->refresh($project);
            $this->em->lock($project, LockMode::OPTIMISTIC, $version);
            $before = $project->stage;
            if ($before !== $stage) {
                $project->moveTo($stage);
                $this->events->dispatch(new StageChanged($project, $before));
            }
        });
    }
}

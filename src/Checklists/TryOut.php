<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\Checklists\Anchors;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistMerge;
use Telamon\Core\Checklists\Crew;
use Telamon\Core\Checklists\Merged;
use Telamon\Core\Checklists\PlannedTask;
use Telamon\Core\Checklists\UnreadableOutline;
use Telamon\Core\Checklists\WorkInCircle;
use Telamon\Core\People\StaffMember;
use Telamon\Refusal\InvalidInput;
use Telamon\Tasks\CrewOfBusiness;
use Telamon\Tasks\TaskCounts;

/** What checklists would give: merged and dated, nothing saved. */
final readonly class TryOut
{
    public function __construct(
        private Profile $business,
        private AnswersOfProject $answers,
        private CrewOfBusiness $crew,
        private TaskCounts $counts,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param Checklist $list that is tried, in the place of the kept one with its key
     * @param string $service key of one; empty for none
     * @param string $submission id of the arrival whose answers count; empty for none
     *
     * @return array<string, mixed> as TriedChecklists in the contract
     */
    public function of(Checklist $list, bool $isBase, string $service, \DateTimeImmutable $start, ?\DateTimeImmutable $readyBy, string $submission): array
    {
        $offered = $this->business->services()[$service] ?? null;
        $base = $isBase ? $list : $this->business->baseChecklist();
        $lists = [$base];
        foreach ([$offered?->addOn, $isBase ? null : $list] as $one) {
            if (null !== $one && $one->key !== $base->key) {
                $lists[] = $one->key === $list->key ? $list : $one;
            }
        }
        try {
            $merged = (new ChecklistMerge($this->business->workingDays()))->merge(
                $lists,
                new Anchors($start, $readyBy),
                '' === $submission ? null : $this->answers->ofSubmission($submission),
            );
        } catch (WorkInCircle|UnreadableOutline $error) {
            throw new InvalidInput('items', $error->getMessage());
        }
        $lead = $offered->lead ?? $this->business->coordinator();

        return $this->shown($merged, new Crew($this->business->coordinator(), $lead, $this->crew->here(), $this->crew->newest(), $this->counts->openByStaff()), $lists);
    }

    /**
     * @param list<Checklist> $lists
     *
     * @return array<string, mixed>
     */
    private function shown(Merged $merged, Crew $crew, array $lists): array
    {
        $who = static fn (PlannedTask $task): StaffMember => $crew->of($task->item->doer, $task->key);

        return [
            'lists' => array_map(static fn (Checklist $one): string => $one->name, $lists),
            'tasks' => array_map(static fn (PlannedTask $task): array => [
                'key' => $task->key, 'number' => $task->number, 'name' => $task->item->name, 'checklist' => $task->checklist->name,
                'who' => $who($task)->name, 'left' => $crew->hasLeft($task->item->doer),
                'takes' => $task->item->takes, 'waitsFor' => $task->waitsFor, 'start' => $task->earliestStart, 'finish' => $task->earliestFinish, 'float' => $task->float,
                'begins' => $task->begins->format('Y-m-d'), 'due' => $task->due->format('Y-m-d'), 'onChain' => $task->onChain,
            ], $merged->tasks),
            'leftOut' => array_map(static fn (array $one): array => ['key' => $one['key'], 'name' => $one['item']->name], $merged->leftOut),
            'length' => $merged->length, 'room' => $merged->room, 'shortBy' => $merged->shortBy, 'done' => $merged->done->format('Y-m-d'), 'verdict' => $merged
                ->verdict(), 'clashes' => $merged
                ->clashes(),
            'days' => $this->days($merged),
        ];
    }

    /** @return list<string> the working days by their number, as far as the wall of days goes */
    private function days(Merged $merged): array
    {
        $calendar = $this->business->workingDays();
        $first = [] === $merged->tasks ? $this->clock->now() : $merged->tasks[0]->begins;
        // Day 0 is where the first task that waits for nothing begins.
        $days = [];
        for ($i = 0, $most = min(400, max($merged->length, $merged->room ?? 0) + 1); $i <= $most; ++$i) {
            $days[] = $calendar->add($first, $i)->format('Y-m-d');
        }

        return $days;
    }
}

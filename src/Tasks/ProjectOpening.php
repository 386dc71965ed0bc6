<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Business\StageEnd;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Core\Checklists\Anchors;
use Telamon\Core\Checklists\ChecklistMerge;
use Telamon\Core\Checklists\TaskBrief;
use Telamon\Core\Checklists\UnreadableOutline;
use Telamon\Core\Checklists\WorkInCircle;
use Telamon\Core\Planning\OfferedService;
use Telamon\Database\Counter;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Projects\Project;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Opens projects by hand, with the tasks of their checklists, or as a copy of another. */
final readonly class ProjectOpening
{
    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private Counter $counter,
        private Profile $business,
        private CrewOfBusiness $crew,
        private TaskNames $names,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param string $id what it is to be known by
     *
     * @throws Refusal
     */
    public function open(string $id, Edit $edit, Staff $staff): Project
    {
        $client = $this->client($edit->text('client', 36) ?? '');
        $service = $this->service($edit->text('service', 40) ?? '');
        $title = $edit->text('title', 200) ?? '';
        $title = '' === $title ? $service->name ?? throw new InvalidInput('title', 'Give it a title, or choose a service.') : $title;
        $lead = $this->lead($edit->text('lead', 36) ?? '', $service);
        $readyBy = $edit->day('readyBy');
        $asset = $this->asset($edit->text('asset', 36) ?? '', $client);

        return $this->changes->carryOut($this->change("opened $title", $staff), function () use ($id, $edit, $client, $service, $title, $lead, $readyBy, $asset): Project {
            // The same sending may have come twice within one breath.
            $there = $this->em->find(Project::class, $id);
            if (null !== $there) {
                return $there;
            }
            $project = new Project(
                $this->counter->next('P'),
                $title,
                $client,
                $lead,
                $this->business->firstStage(StageEnd::Open) ?? 'Inquiry',
                $readyBy,
                $edit->text('notes', 10_000) ?? '',
                $this->clock->now(),
                $id,
            );
            $project->isAbout($asset);
            $project->comesFrom($edit->text('source', 60) ?? '');
            $project->serve($service->key ?? '');
            $this->em->persist($project);
            if (false !== $edit->yes('checklists')) {
                $this->tasks($project, $service);
            }

            return $project;
        });
    }

    /**
     * For what a client booked. Call it inside a change.
     *
     * @param string $service key of the service that it is for; empty for none
     */
    public function begin(Client $client, string $service, string $title): Project
    {
        $offered = $this->business->services()[$service] ?? null;
        $lead = null === $offered ? null : $this->em->find(Staff::class, $offered->lead->id);
        $project = new Project(
            $this->counter->next('P'),
            $offered->name ?? $title,
            $client,
            $lead ?? $this->coordinator(),
            $this->business->firstStage(StageEnd::Open) ?? 'Inquiry',
            null,
            '',
            $this->clock->now(),
        );
        $project->serve($offered->key ?? '');
        $this->em->persist($project);
        $this->tasks($project, $offered);

        return $project;
    }

    /** The same for the same client: its tasks, open, counted from today on. What was written, sent and decided stays with the first. */
    public function copy(string $id, Project $of, Staff $staff): Project
    {
        return $this->changes->carryOut($this->change("copied {$of->recordLabel()}", $staff), function () use ($id, $of): Project {
            $there = $this->em->find(Project::class, $id);
            if (null !== $there) {
                return $there;
            }
            $copy = new Project(
                $this->counter->next('P'),
                $of->title,
                $of->client,
                $of->lead->active ? $of->lead : $this->coordinator(),
                $this->business->firstStage(StageEnd::Open) ?? $of->stage,
                null,
                $of->notes,
                $this->clock->now(),
                $id,
            );
            $copy->isAbout($of->asset);
            $copy->comesFrom($of->source);
            $copy->serve($of->service);
            $copy->tag($of->tags);
            $copy->keepCustom($of->custom);
            $this->em->persist($copy);
            $shift = (int) $this->day($of->openedAt)->diff($this->day($this->clock->now()))->format('%r%a');
            $calendar = $this->business->workingDays();
            foreach ($this->em->getRepository(Task::class)->findBy(['project' => $of], ['position' => 'ASC']) as $task) {
                $due = $calendar->add($task->due->modify(\sprintf('%+d days', $shift)), 0);
                $again = new Task($copy, $task->position, $task->name, $task->assignee->active ? $task->assignee : $copy->lead, $due, $task->waitsFor, $task->checklist);
                $again->briefedLike($task);
                $this->em->persist($again);
            }

            return $copy;
        });
    }

    /** @throws Refusal where the checklists cannot be joined */
    private function tasks(Project $project, ?OfferedService $service): void
    {
        $lists = [$this->business->baseChecklist(), ...(null === $service?->addOn ? [] : [$service->addOn])];
        $crew = $this->crew->under($project->lead, $lists);
        try {
            $merged = (new ChecklistMerge($this->business->workingDays()))->merge($lists, new Anchors($project->openedAt->setTimezone($this->business->zone()), $project->readyBy));
        } catch (WorkInCircle|UnreadableOutline $error) {
            throw new InvalidInput('checklists', "The checklists cannot be joined. {$error->getMessage()}");
        }
        foreach ($merged->tasks as $task) {
            $doer = $this->em->find(Staff::class, $crew->of($task->item->doer, $task->key)->id) ?? $project->lead;
            $kept = new Task($project, $task->number, $this->names->of($task->item, $project), $doer, $task->due, $task->waitsFor, $task->checklist->name);
            $kept->briefed(TaskBrief::of($task));
            $this->em->persist($kept);
        }
    }

    private function day(\DateTimeImmutable $at): \DateTimeImmutable
    {
        return new \DateTimeImmutable($at->setTimezone($this->business->zone())->format('Y-m-d'), new \DateTimeZone('UTC'));
    }

    private function coordinator(): Staff
    {
        return $this->business->business()->coordinator;
    }

    private function client(string $id): Client
    {
        $client = $this->em->find(Client::class, $id) ?? throw new InvalidInput('client', 'Choose whom it is for.');

        return $client->mergedInto ?? $client;
    }

    private function service(string $key): ?OfferedService
    {
        return '' === $key ? null : $this->business->services()[$key] ?? throw new InvalidInput('service', 'Choose a service that is offered.');
    }

    private function lead(string $id, ?OfferedService $service): Staff
    {
        $lead = '' === $id ? (null === $service ? $this->coordinator() : $this->em->find(Staff::class, $service->lead->id)) : $this->em->find(Staff::class, $id);

        return null !== $lead && $lead->active ? $lead : throw new InvalidInput('lead', 'Choose somebody who is here.');
    }

    private function asset(string $id, Client $client): ?Asset
    {
        $asset = '' === $id ? null : $this->em->find(Asset::class, $id);

        return '' === $id || $asset?->client === $client ? $asset : throw new InvalidInput('asset', 'Choose one that is theirs.');
    }

    private function change(string $words, Staff $staff): Act
    {
        return Act::of(ChangeKind::Edit, $words, $staff);
    }
}

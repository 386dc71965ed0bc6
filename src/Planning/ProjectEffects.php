<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Telamon\Business\BusinessFacts;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Reading\NameReader;
use Telamon\Core\Time\DayWords;
use Telamon\Database\Counter;
use Telamon\Effects\Making;
use Telamon\Files\Attachment;
use Telamon\Files\AttachmentShelf;
use Telamon\Http\Problem;
use Telamon\Messages\Message;
use Telamon\Messages\MessageQueue;
use Telamon\Projects\Project;
use Telamon\Staff\Staff;
use Telamon\Tasks\Task;
use Telamon\Tasks\TaskCounts;

/** Writes the plan lines about the project, its tasks, files and messages. */
final readonly class ProjectEffects
{
    public function __construct(
        private EntityManagerInterface $em,
        private Counter $counter,
        private AttachmentShelf $shelf,
        private MessageQueue $messages,
        private NameReader $names,
        private BusinessFacts $facts,
        private TaskCounts $tasks,
        #[Autowire(env: 'TELAMON_URL')]
        private string $address = '',
    ) {
    }

    public function open(Effect $effect, Making $made): Project
    {
        $readyBy = $effect->text('ready_by');
        $project = new Project(
            $this->counter->next('P'),
            $effect->text('title'),
            $made->client(),
            $this->staff($effect->text('lead')),
            '' === $effect->text('stage') ? ($this->facts->stages()[0] ?? 'Inquiry') : $effect->text('stage'),
            '' === $readyBy ? null : self::day($readyBy),
            $effect->text('notes'),
            $made->now,
        );
        $project->submissionId = $made->submission?->id;
        $this->em->persist($project);

        return $made->project = $project;
    }

    public function use(Effect $effect, Making $made): Project
    {
        $project = $this->em->find(Project::class, $effect->text('id')) ?? throw new Problem(409, 'The plan has changed', 'The project is there no more.');
        $project->notes = trim("{$project->notes}\n\n{$effect->text('notes')}");
        $made->tasksBefore = $this->tasks->last($project);

        return $made->project = $project;
    }

    public function addTask(Effect $effect, Making $made): Task
    {
        $task = new Task(
            $made->project(),
            $made->tasksBefore + $effect->number('position'),
            $effect->text('name'),
            $this->staff($effect->text('assignee')),
            self::day($effect->text('due')),
            array_map(static fn (int $task): int => $made->tasksBefore + $task, $effect->numbers('waits_for')),
            $effect->text('checklist'),
        );
        $this->em->persist($task);

        return $task;
    }

    /** @return list<Attachment> */
    public function attachFiles(Effect $effect, Making $made): array
    {
        $attachments = null === $made->submission ? [] : $this->shelf->of($made->submission, $effect->text('question'));
        foreach ($attachments as $attachment) {
            $this->shelf->putWith($attachment, $made->client(), $made->project, $made->asset);
        }

        return $attachments;
    }

    public function queueMessage(Effect $effect, Making $made): Message
    {
        $project = $made->project;
        $today = $made->now->setTimezone($this->facts->zone());
        $toName = $effect->text('to_name');

        return $this->messages->queue($effect->text('template'), $effect->text('to'), $toName, [
            'first_name' => $this->names->read($toName)->given,
            'client' => $made->client?->name() ?? $made->submission->name ?? '',
            'service' => $project->title ?? '',
            'asset' => $made->asset->description ?? $this->facts->business()->assetWord,
            'place' => $made->asset->place ?? '',
            'project' => $project->number ?? '',
            'reference' => $made->submission->number ?? $project->number ?? '',
            'lead' => $project->lead->name ?? $this->facts->coordinator()->name,
            'coordinator' => $this->facts->coordinator()->name,
            'ready_by' => null === $project?->readyBy ? '' : DayWords::short($project->readyBy, $today),
            'notes' => $project->notes ?? '',
            'why' => $effect->text('why'),
            'phone' => $this->phoneOf($made->client),
            'link' => '' === $this->address ? '' : rtrim($this->address, '/').(null === $project ? (null === $made->client ? '' : "/clients/{$made->client->id}") : "/projects/{$project->id}"),
        ], $made->client, $project, $made->submission?->id, $effect->text('says'), true);
    }

    /** Whom to ring, as it is read aloud. */
    private function phoneOf(?Client $client): string
    {
        foreach ($client->contactPoints ?? [] as $point) {
            if (ContactKind::Phone === $point->kind) {
                return $this->facts->phoneReader()->format($point->value);
            }
        }

        return '';
    }

    /** The asset is known only after the project line; join them once both are there. */
    public function finish(Making $made): void
    {
        if (null !== $made->project) {
            $made->project->asset ??= $made->asset;
        }
    }

    private function staff(string $id): Staff
    {
        return $this->em->find(Staff::class, $id) ?? throw new \LogicException('the plan names staff who are not on file');
    }

    private static function day(string $iso): \DateTimeImmutable
    {
        return new \DateTimeImmutable($iso, new \DateTimeZone('UTC'));
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\BusinessFacts;
use Telamon\Business\OwnFields;
use Telamon\Files\Attachment;
use Telamon\Journal\JournalEntry;
use Telamon\Messages\Message;
use Telamon\Messages\MessageView;
use Telamon\Record\Action;
use Telamon\Record\RecordRef;
use Telamon\Submissions\Submission;
use Telamon\Tasks\TaskCounts;

/** Shows projects as the contract has them. */
final readonly class ProjectView
{
    public function __construct(
        private EntityManagerInterface $em,
        private TaskCounts $counts,
        private MessageView $messages,
        private OwnFields $fields,
        private BusinessFacts $facts,
    ) {
    }

    /**
     * @param list<Project> $projects
     *
     * @return list<array<string, mixed>> as ProjectRow
     */
    public function rows(array $projects): array
    {
        $counts = $this->counts->of($projects);
        $zone = $this->facts->zone();

        return array_map(static fn (Project $project): array => [
            'id' => $project->id,
            'number' => $project->number,
            'title' => $project->title,
            'client' => RecordRef::of($project->client),
            'stage' => $project->stage,
            'lead' => $project->lead->name,
            'readyBy' => $project->readyBy?->format('Y-m-d'),
            'openedOn' => $project->openedAt->setTimezone($zone)->format('Y-m-d'),
            'tasksDone' => $counts[$project->id]['done'] ?? 0,
            'tasks' => $counts[$project->id]['all'] ?? 0,
        ], $projects);
    }

    /** @return array<string, mixed> as Project */
    public function whole(Project $project): array
    {
        $submission = null === $project->submissionId ? null : $this->em->find(Submission::class, $project->submissionId);
        $messages = $this->em->getRepository(Message::class)->findBy(['project' => $project], ['queuedAt' => 'DESC'], 40);
        $files = $this->em->getRepository(Attachment::class)->findBy(['project' => $project], ['id' => 'ASC'], 200);

        return $this->rows([$project])[0] + [
            'notes' => $project->notes,
            'version' => $project->version,
            'asset' => null === $project->asset ? null : $project->asset->toArray() + ['custom' => $this->fields->shown('asset', $project->asset->custom)],
            'budget' => $project->budget,
            'tags' => $project->tags,
            'custom' => $this->fields->shown('project', $project->custom),
            'wishes' => array_map(static fn (string $kind, string $text): array => ['kind' => $kind, 'text' => $text], array_keys($project->wishes), array_values($project->wishes)),
            'stages' => $this->stages($project),
            'submission' => RecordRef::maybe($submission),
            'files' => array_map(static fn (Attachment $file): array => $file->toArray(), $files),
            'messages' => array_map($this->messages->row(...), $messages),
        ];
    }

    /** @return list<array{name: string, state: 'done'|'now'|'later'|'skipped'}> skipped: before the one where it stands, and never entered */
    private function stages(Project $project): array
    {
        $stages = [];
        $entered = $this->entered($project);
        $isBefore = true;
        foreach ($this->facts->stages() as $name) {
            if ($name === $project->stage) {
                $stages[] = ['name' => $name, 'state' => 'now'];
                $isBefore = false;
            } else {
                /** @var 'done'|'later'|'skipped' $state */
                $state = match (true) {
                    !$isBefore => 'later',
                    isset($entered[$name]) => 'done',
                    default => 'skipped',
                };
                $stages[] = ['name' => $name, 'state' => $state];
            }
        }

        return $stages;
    }

    /** @return array<string, true> the stages that it has stood at, by the journal */
    private function entered(Project $project): array
    {
        $entered = [];
        $entries = $this->em->getRepository(JournalEntry::class)->findBy(['recordId' => $project->id, 'action' => [Action::Made, Action::Changed]], ['seq' => 'ASC'], 500);
        foreach ($entries as $entry) {
            foreach ([$entry->before['stage'] ?? null, $entry->after['stage'] ?? null] as $stage) {
                if (\is_string($stage)) {
                    $entered[$stage] = true;
                }
            }
        }

        return $entered;
    }
}

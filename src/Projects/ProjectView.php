<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Access\Viewer;
use Telamon\Business\OwnFields;
use Telamon\Business\Profile;
use Telamon\Journal\JournalEntry;
use Telamon\Record\Action;
use Telamon\Record\Records;
use Telamon\Staff\Permission;

/** Shows a project; what other rooms keep of it is listed there, by ?project=. */
final readonly class ProjectView
{
    public function __construct(
        private EntityManagerInterface $em,
        private ProjectRows $rows,
        private Records $records,
        private Viewer $viewer,
        private OwnFields $fields,
        private Profile $business,
    ) {
    }

    /** @return array<string, mixed> as Project */
    public function whole(Project $project): array
    {
        return $this->rows->of([$project])[0] + [
            'notes' => $project->notes,
            'version' => $project->version,
            'leadId' => $project->lead->id,
            'asset' => null === $project->asset ? null : $project->asset->toArray() + ['custom' => $this->fields->shown('asset', $project->asset->custom)],
            'closeReason' => $project->closeReason,
            'closedOn' => $project->closedAt?->setTimezone($this->business->zone())->format('Y-m-d'),
            'custom' => $this->fields->shown('project', $project->custom),
            'wishes' => array_map(
                static fn (string $kind, string $text): array => ['kind' => $kind, 'text' => $text],
                array_keys($project->wishes),
                array_values($project->wishes),
            ),
            'stages' => $this->stages($project),
            'submission' => $this->viewer->may(Permission::Decide) ? $this->records->find('submission', $project->submissionId) : null,
        ];
    }

    /** @return list<array{name: string, state: 'done'|'now'|'later'|'skipped'}> skipped: before the one where it stands, and never entered */
    private function stages(Project $project): array
    {
        $stages = [];
        $entered = $this->entered($project);
        $isBefore = true;
        foreach ($this->business->stages() as $name) {
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

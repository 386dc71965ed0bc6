<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Business\OwnFields;
use Telamon\Business\Profile;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Edits what is on file about a project by hand. */
final readonly class ProjectEditing
{
    private const MOST_TAGS = 40;

    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private OwnFields $fields,
        private Profile $business,
        private EventDispatcherInterface $events,
    ) {
    }

    /** @throws Refusal where something cannot be, or was changed meanwhile */
    public function edit(Project $project, Edit $edit, Staff $staff): void
    {
        $version = $edit->version();
        $act = Act::of(ChangeKind::Edit, "edited {$project->recordLabel()}", $staff)->about($project)->looking($project, $version);
        $this->changes->carryOut($act, function () use ($project, $edit): void {
            // As it is now, under the write lock: what was looked at may be old.
            $readyBy = $project->readyBy;
            $title = $edit->text('title', 200) ?? $project->title;
            $project->become(
                '' === $title ? throw new InvalidInput('title', 'A project has a title.') : $title,
                $edit->has('readyBy') ? $edit->day('readyBy') : $project->readyBy,
                $edit->text('budget', 200) ?? $project->budget,
                $edit->text('notes', 10_000) ?? $project->notes,
                $edit->texts('tags', self::MOST_TAGS, 60) ?? $project->tags,
            );
            $project->comesFrom($edit->text('source', 60) ?? $project->source);
            $project->serve($this->service($edit->text('service', 40), $project));
            $project->keepCustom($this->fields->written('project', $edit->any('custom'), $project->custom));
            $this->belong($project, $edit);
            if ($readyBy?->format('Y-m-d') !== $project->readyBy?->format('Y-m-d')) {
                $this->events->dispatch(new ReadyByMoved($project, $readyBy));
            }
            $lead = $edit->text('lead', 36);
            if (null !== $lead) {
                $project->leadBy($this->em->find(Staff::class, $lead) ?? throw new InvalidInput('lead', 'Choose somebody who is here.'));
            }
        });
    }

    /** Key of a service; one that is no longer offered only where it stood before. */
    private function service(?string $key, Project $project): string
    {
        return null === $key || '' === $key || $key === $project->service || isset($this->business->services()[$key])
            ? $key ?? $project->service
            : throw new InvalidInput('service', 'Choose a service that is offered.');
    }

    /** Another client, and what of theirs it is done on. */
    private function belong(Project $project, Edit $edit): void
    {
        $client = $edit->text('client', 36);
        $asset = $edit->text('asset', 36);
        if (null === $client && null === $asset) {
            return;
        }
        $to = null === $client ? $project->client : $this->em->find(Client::class, $client) ?? throw new InvalidInput('client', 'Choose a client who is on file.');
        $to = $to->mergedInto ?? $to;
        $on = null === $asset ? ($to === $project->client ? $project->asset : null) : ('' === $asset ? null : $this->em->find(Asset::class, $asset));
        if ((null === $on && null !== $asset && '' !== $asset) || (null !== $on && $on->client !== $to)) {
            throw new InvalidInput('asset', 'Choose one that is theirs.');
        }
        $project->belongTo($to, $on);
    }
}

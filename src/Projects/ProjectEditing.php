<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Edits what is on file about a project by hand; its tasks stay as they are. */
final readonly class ProjectEditing
{
    private const MOST_TAGS = 40;

    public function __construct(private EntityManagerInterface $em, private Changes $changes, private ClockInterface $clock)
    {
    }

    /** @throws Refusal where something cannot be, or was changed meanwhile */
    public function edit(Project $project, Edit $edit, Staff $staff): void
    {
        $version = $edit->version();
        $change = new Change(ChangeKind::Edit, mb_substr("edited {$project->recordLabel()}", 0, 300), $staff, $this->clock->now(), null, 'project', $project->id, $project->recordLabel());
        $this->changes->carryOut($change, function () use ($project, $edit, $version): void {
            // As it is now, under the write lock: what was looked at may be old.
            $this->em->refresh($project);
            $this->em->lock($project, LockMode::OPTIMISTIC, $version);
            $title = $edit->text('title', 200) ?? $project->title;
            $readyBy = $edit->text('readyBy', 10);
            $project->become(
                '' === $title ? throw new InvalidInput('title', 'A project has a title.') : $title,
                null === $readyBy ? $project->readyBy : self::day($readyBy),
                $edit->text('budget', 200) ?? $project->budget,
                $edit->text('notes', 10_000) ?? $project->notes,
                $edit->texts('tags', self::MOST_TAGS, 60) ?? $project->tags,
            );
            $lead = $edit->text('lead', 36);
            if (null !== $lead) {
                $project->leadBy($this->em->find(Staff::class, $lead) ?? throw new InvalidInput('lead', 'Choose somebody who is here.'));
            }
        });
    }

    /** @return \DateTimeImmutable|null null where it is taken away */
    private static function day(string $text): ?\DateTimeImmutable
    {
        if ('' === $text) {
            return null;
        }
        $day = \DateTimeImmutable::createFromFormat('!Y-m-d', $text, new \DateTimeZone('UTC'));

        return false !== $day && $day->format('Y-m-d') === $text ? $day : throw new InvalidInput('readyBy', 'There is no such day. Write it like 2027-06-12.');
    }
}

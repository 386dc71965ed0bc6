<?php

declare(strict_types=1);

namespace Telamon\Arrivals;

use Telamon\Forms\FormVersion;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionState;

/** What a list tells of a submission, without its answers. */
final readonly class SubmissionRow
{
    /** @param array{id: string, name: string}|null $assignee */
    public function __construct(
        public string $id,
        public string $number,
        public string $name,
        public FormVersion $formVersion,
        public SubmissionState $state,
        public \DateTimeImmutable $receivedAt,
        public \DateTimeImmutable $dueAt,
        public int $toDecide,
        public ?\DateTimeImmutable $decidedAt,
        public string $asideReason,
        public string $asideNote,
        public ?\DateTimeImmutable $continueBy,
        public ?\DateTimeImmutable $answeredAt,
        public ?\DateTimeImmutable $remindAt,
        public int $priority,
        public ?array $assignee,
    ) {
    }

    public static function of(Submission $s): self
    {
        return new self(
            $s->id,
            $s->number,
            $s->name,
            $s->formVersion,
            $s->state,
            $s->receivedAt,
            $s->dueAt,
            $s->toDecide,
            $s->decidedAt,
            $s->asideReason,
            $s->asideNote,
            $s->continueBy,
            $s->answeredAt,
            $s->remindAt,
            $s->priority,
            null === $s->assignee ? null : ['id' => $s->assignee->id, 'name' => $s->assignee->name],
        );
    }
}

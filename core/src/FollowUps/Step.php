<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

/** One step of a follow-up. */
final readonly class Step
{
    /**
     * @param string $key by which people who stand here are found again when the series is changed
     * @param string $what template, ending of the booking page or of the form, name of the task, text of the notice, stage, tag, or key of the step to go on with
     * @param string $who of a task: “lead” or “coordinator”; of a notice: the room
     * @param int $days of a task: working days until it is due
     * @param bool $asText of a message: as a text where the client has a number and the template has words for it
     */
    public function __construct(
        public string $key,
        public StepKind $kind,
        public string $what = '',
        public string $who = '',
        public int $days = 0,
        public ?Wait $wait = null,
        public bool $asText = false,
    ) {
    }

    /** @return array<string, mixed> as FollowUpStep in the contract */
    public function toArray(): array
    {
        return ['key' => $this->key, 'kind' => $this->kind->value] + match ($this->kind) {
            StepKind::Wait => ['amount' => $this->wait->amount ?? 1, 'unit' => $this->wait->unit ?? 'days', 'at' => $this->wait->at ?? '', 'named' => $this->wait->named ?? false],
            StepKind::Task => ['what' => $this->what, 'who' => $this->who, 'days' => $this->days],
            StepKind::Notice => ['what' => $this->what, 'who' => $this->who],
            StepKind::Send => ['what' => $this->what, 'asText' => $this->asText],
            StepKind::Stop, StepKind::Quote => [],
            default => ['what' => $this->what],
        };
    }
}

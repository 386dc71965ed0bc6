<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Symfony\Component\Messenger\MessageBusInterface;
use Telamon\Clients\ClientEffects;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\EffectKind;
use Telamon\Core\Plan\Plan;
use Telamon\Core\Plan\PlanLine;
use Telamon\Effects\Making;
use Telamon\Journal\CurrentChange;
use Telamon\Record\Journaled;
use Telamon\Staff\Staff;
use Telamon\Submissions\KeepSheet;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionState;

/** Writes the lines of a plan, in their order. */
final readonly class EffectWriter
{
    public function __construct(private ClientEffects $clients, private ProjectEffects $projects, private FieldEffects $fields, private MessageBusInterface $bus, private CurrentChange $current)
    {
    }

    /** @return list<Journaled> what was made or joined */
    public function write(Submission $submission, Plan $plan, ?Staff $staff, \DateTimeImmutable $now): array
    {
        $made = new Making($submission, $now);
        $touched = $this->lines($plan->lines, $made);
        $submission->state = SubmissionState::Accepted;
        $submission->decidedAt = $now;
        $submission->decidedBy = $staff;
        // What a rule accepts by itself is no answer yet: the promise was that a person would.
        if (null !== $staff && null === $submission->answeredAt) {
            $submission->answeredAt = $now;
            $submission->answeredBy = $staff;
        }
        $submission->remindAt = null;
        $submission->client = $made->client;
        $submission->project = $made->project;

        return $touched;
    }

    /**
     * @param list<PlanLine> $lines
     *
     * @return list<Journaled> what they made or changed
     */
    public function lines(array $lines, Making $made): array
    {
        $touched = [];
        foreach ($lines as $line) {
            if (null !== $line->effect) {
                array_push($touched, ...$this->one($line->effect, $made));
            }
        }
        $this->projects->finish($made);

        return $touched;
    }

    /** @return list<Journaled> */
    private function one(Effect $effect, Making $made): array
    {
        return match ($effect->kind) {
            EffectKind::CreateClient => [$this->clients->create($effect, $made)],
            EffectKind::UseClient => [$this->clients->use($effect, $made)],
            EffectKind::OpenProject => [$this->projects->open($effect, $made)],
            EffectKind::UseProject => [$this->projects->use($effect, $made)],
            EffectKind::CreateAsset => [$this->clients->createAsset($effect, $made)],
            EffectKind::UseAsset => [$this->clients->useAsset($effect, $made)],
            EffectKind::SetField => $this->fields->set($effect, $made),
            EffectKind::AddTags => [$this->fields->tag($effect, $made)],
            EffectKind::AddContact => [$this->fields->contact($effect, $made)],
            EffectKind::AddWish => [$this->fields->wish($effect, $made)],
            EffectKind::AddTask => [$this->projects->addTask($effect, $made)],
            EffectKind::AttachFiles => $this->projects->attachFiles($effect, $made),
            EffectKind::KeepSheet => $this->keepSheet($made),
            EffectKind::QueueMessage => [$this->projects->queueMessage($effect, $made)],
        };
    }

    /** @return array{} the worker makes it: drawing a PDF takes a while */
    private function keepSheet(Making $made): array
    {
        $change = $this->current->get();
        if (null !== $change && null !== $made->submission) {
            $this->bus->dispatch(new KeepSheet($change->id, $made->submission->id));
        }

        return [];
    }
}

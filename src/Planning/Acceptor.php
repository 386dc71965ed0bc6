<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Core\Effects\BookAppointment;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\Plan;
use Telamon\Effects\Effects;
use Telamon\Effects\Making;
use Telamon\Effects\Occasion;
use Telamon\Effects\PlanHasChanged;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Projects\Project;
use Telamon\Record\RecordRef;
use Telamon\Record\Records;
use Telamon\Refusal\Refusal;
use Telamon\Rules\RuleUses;
use Telamon\Staff\Staff;
use Telamon\Submissions\DecidedAlready;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionState;

/** Carries a plan out in one transaction. It writes and never decides. */
final readonly class Acceptor
{
    /** Why a submission may be set aside. */
    public const REASONS = ['advertising', 'test', 'duplicate', 'not-for-us', 'other'];

    public function __construct(
        private EntityManagerInterface $em,
        private PlanMaker $plans,
        private Effects $effects,
        private Decisions $decisions,
        private Changes $changes,
        private Profile $business, private Records $records,
        private RuleUses $uses,
        private EventDispatcherInterface $events,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param string $fingerprint of the plan that was looked at
     * @param array<array-key, mixed> $decisions
     * @param int|null $seen version of what was decided on the plan, as it was looked at
     * @param string $through what accepts it where no person does, in words
     *
     * @return array<string, mixed> as Acceptance in the contract
     *
     * @throws Refusal when the plan has changed or the submission is decided, 422 when a question is open
     */
    public function accept(Submission $submission, string $fingerprint, array $decisions, ?Staff $staff, ?int $seen = null, string $through = ''): array
    {
        $change = $this->changes->change(Act::of(
            ChangeKind::Accept,
            "accepted the plan for {$submission->name}".('' === $through ? '' : ", as $through says"),
            $staff,
        )->from($submission->id)->about($submission));
        $made = $this->changes->carryOut($change, function () use ($submission, $fingerprint, $decisions, $staff, $seen, $change, $through): array {
            // Read again under the write lock: what is checked now stays so until the commit.
            $this->em->refresh($submission);
            $this->refuseDecided($submission);
            $this->refuseUnseen($submission, $seen);
            $plan = $this->planStill($submission, $fingerprint, $decisions);
            $open = $plan->open();
            if ([] !== $open) {
                throw new ChoiceIsOpen(array_map(
                    static fn (PlanLine $line): array => ['path' => 'decisions.'.($line->choice->key ?? $line->key), 'message' => 'Choose one.'],
                    $open,
                ));
            }

            $this->uses->keep($plan->outcome, $change, $submission);
            $made = new Making(
                $this->clock->now(),
                new Occasion($submission->id, $submission->number, $submission->name, $submission->origin->source($this->business->business()->sources)),
            );
            $touched = $this->effects->carryOut($plan->lines, $made);
            $submission->accept(
                $staff,
                $made->now,
                $made->find(Client::class),
                $made->find(Project::class),
                $through,
                [] !== array_filter($plan->lines, static fn (PlanLine $line): bool => $line->effect instanceof BookAppointment),
            );
            $this->events->dispatch($accepted = new PlanAccepted($submission));
            array_push($touched, ...$accepted->touched(), ...$this->changes->settle());

            // A record that several lines touch is told once.
            return array_values(array_unique(array_map(RecordRef::of(...), $touched), \SORT_REGULAR));
        });

        return ['change' => $change->toArray($this->business->zone(), $this->records), 'made' => $made];
    }

    /** @throws Refusal */
    public function setAside(Submission $submission, string $reason, string $note, Staff $staff, ?Submission $same = null): Change
    {
        $change = $this->changes->change(Act::of(ChangeKind::SetAside, "set {$submission->name} aside", $staff)->from($submission->id)->about($submission));
        $this->changes->carryOut($change, function () use ($submission, $reason, $note, $staff, $same): void {
            $this->em->refresh($submission);
            $this->refuseDecided($submission);
            $submission->setAside($reason, $note, $this->clock->now(), $staff, $same);
        });

        return $change;
    }

    /**
     * Puts what was set aside by itself back among the arrivals.
     *
     * @return array{change: string, words: string, undone: int, kept: list<never>} as Undone in the contract
     */
    public function putBack(Submission $submission, Staff $staff): array
    {
        $words = "put {$submission->name} back among the arrivals";
        $change = $this->changes->change(Act::of(ChangeKind::Setup, $words, $staff)->from($submission->id)->about($submission));
        $this->changes->carryOut($change, static function () use ($submission): void {
            $submission->putBack();
        });

        return ['change' => $change->id, 'words' => ucfirst($words), 'undone' => 1, 'kept' => []];
    }

    /**
     * @param array<array-key, mixed> $decisions
     *
     * @throws Refusal when it is no longer the plan that was looked at, 422 when it offers no such choice
     */
    private function planStill(Submission $submission, string $fingerprint, array $decisions): Plan
    {
        try {
            $plan = $this->plans->plan($submission, $decisions);
        } catch (Refusal $refusal) {
            // A choice that was offered then and is not now: the plan has changed, and that is what to say.
            if (hash_equals($this->plans->plan($submission)->fingerprint, $fingerprint)) {
                throw $refusal;
            }
            $plan = null;
        }
        if (null === $plan || !hash_equals($plan->fingerprint, $fingerprint)) {
            throw new PlanHasChanged('Something it rests on has changed since you opened it. Nothing was accepted; look at the plan again.');
        }

        return $plan;
    }

    /** @throws Refusal when somebody has decided something on the plan since it was looked at */
    private function refuseUnseen(Submission $submission, ?int $seen): void
    {
        $now = $this->decisions->of($submission->id);
        if (null !== $seen && $seen !== $now->version) {
            throw new PlanHasChanged("{$now->by} has decided something else on it meanwhile. Nothing was accepted; look at the plan again.");
        }
    }

    private function refuseDecided(Submission $submission): void
    {
        if (SubmissionState::Waiting === $submission->state) {
            return;
        }
        $by = $submission->decidedBy->name ?? ('' === $submission->acceptedThrough ? 'somebody' : $submission->acceptedThrough);
        $at = $submission->decidedAt?->setTimezone($this->business->zone())->format('H:i') ?? '';
        throw new DecidedAlready(SubmissionState::Accepted === $submission->state ? "$by accepted this at $at." : "$by set this aside at $at.");
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Telamon\Core\Effects\BookAppointment;
use Telamon\Core\Plan\PlanLine;
use Telamon\Refusal\Refusal;
use Telamon\Submissions\LookAhead;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionState;

/**
 * Counts what is to be decided, for the list; and accepts plans that a rule says need nobody, and those of what was
 * booked, as long as nothing in them is open. Done by the worker, so that whoever sends a form does not wait for it.
 */
#[AsMessageHandler]
final readonly class LookAheadHandler
{
    public function __construct(private EntityManagerInterface $em, private Connection $db, private PlanMaker $plans, private Acceptor $acceptor)
    {
    }

    public function __invoke(LookAhead $message): void
    {
        $submission = $this->em->find(Submission::class, $message->submissionId);
        if (null === $submission || SubmissionState::Waiting !== $submission->state) {
            return;
        }
        $plan = $this->plans->plan($submission);
        $this->db->executeStatement('UPDATE submission SET to_decide = ? WHERE id = ?', [\count($plan->open()), $submission->id]);
        $isBooked = [] !== array_filter($plan->lines, static fn (PlanLine $line): bool => $line->effect instanceof BookAppointment);
        if ((null === $plan->outcome->acceptedBy() && !$isBooked) || [] !== $plan->open()) {
            return;
        }
        try {
            $rule = $plan->outcome->acceptedBy();
            $this->acceptor->accept($submission, $plan->fingerprint, [], null, through: null === $rule ? 'its booking' : "the rule “{$rule->name}”");
        } catch (Refusal) {
            // Somebody was quicker, or something changed in between: it waits for a person.
        }
    }
}

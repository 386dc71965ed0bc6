<?php

declare(strict_types=1);

namespace Telamon\Intake;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Telamon\Http\Problem;

/** Accepts plans that a rule says need nobody, as long as nothing in them is open. */
#[AsMessageHandler]
final readonly class AcceptAheadHandler
{
    public function __construct(private EntityManagerInterface $em, private PlanMaker $plans, private Acceptor $acceptor)
    {
    }

    public function __invoke(AcceptAhead $message): void
    {
        $submission = $this->em->find(Submission::class, $message->submissionId);
        if (null === $submission || SubmissionState::Waiting !== $submission->state) {
            return;
        }
        $plan = $this->plans->plan($submission);
        if (null === $plan->outcome->acceptedBy() || [] !== $plan->open()) {
            return;
        }
        try {
            $this->acceptor->accept($submission, $plan->fingerprint, [], null);
        } catch (Problem) {
            // Somebody was quicker, or something changed in between: it waits for a person.
        }
    }
}

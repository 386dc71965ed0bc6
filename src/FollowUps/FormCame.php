<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Telamon\Core\FollowUps\Course;
use Telamon\Core\Form\Destination;
use Telamon\Journal\Written;
use Telamon\Record\Action;
use Telamon\Submissions\ReadAnswers;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionState;

/**
 * Whoever is inside and fills in another form is written to no more until somebody has looked at it. Accepted, it is an
 * answer like any other; set aside, it was none.
 */
final readonly class FormCame
{
    public function __construct(private EntityManagerInterface $em, private ReadAnswers $answered, private Walking $walking, private ClockInterface $clock)
    {
    }

    #[AsEventListener]
    public function __invoke(Written $event): void
    {
        foreach ($event->records as $one) {
            if (!$one->record instanceof Submission) {
                continue;
            }
            // What is set aside as it comes is looked at by nobody.
            if (Action::Made === $one->action && SubmissionState::Waiting === $one->record->state) {
                $this->wait($event, $one->record);
            }
            if (isset($one->after['state']) && SubmissionState::Waiting !== $one->record->state) {
                $this->decided($event, $one->record);
            }
        }
    }

    private function wait(Written $event, Submission $submission): void
    {
        $address = $this->address($submission);
        if ('' === $address) {
            return;
        }
        /** @var list<FollowUpRun> $runs those that wait for a shorter form of theirs wait for this one instead */
        $runs = $this->em->createQueryBuilder()
            ->select('r')
            ->from(FollowUpRun::class, 'r')
            ->where('(r.state = :inside OR (r.state = :paused AND r.waitsForSubmission IS NOT NULL)) AND LOWER(r.address) = :address')
            ->setParameter('inside', RunState::Inside->value)->setParameter('paused', RunState::Paused->value)->setParameter('address', $address)->getQuery()->getResult();
        foreach ($runs as $run) {
            $run->waitFor($submission->id, "they sent {$submission->number}: somebody looks at it");
            $event->touch($run);
        }
    }

    private function decided(Written $event, Submission $submission): void
    {
        $accepted = SubmissionState::Accepted === $submission->state && null !== $submission->client;
        foreach ($accepted ? $this->em->getRepository(FollowUpRun::class)->findBy([
            'client' => $submission->client,
            'state' => [RunState::Inside, RunState::Paused],
        ]) : [] as $run) {
            // One that this form began itself goes on, and a letter that somebody still has to read comes first.
            if ($run->submissionId !== $submission->id && (RunState::Inside === $run->state || null !== $run->waitsForSubmission)) {
                $this->walking->answered($run, Course::Form);
                $event->touch($run);
            }
        }
        foreach ($this->em->getRepository(FollowUpRun::class)->findBy(['waitsForSubmission' => $submission->id, 'state' => RunState::Paused]) as $run) {
            // Found as it is on disk: it may have been led on just above.
            if ($run->waitsForSubmission === $submission->id) {
                $run->goOn($this->clock->now());
                $event->touch($run);
            }
        }
    }

    /** @return string in small letters; empty where the form asks for none */
    private function address(Submission $submission): string
    {
        return mb_strtolower($this->answered->of($submission)->for(Destination::ClientEmail)?->string() ?? '');
    }
}

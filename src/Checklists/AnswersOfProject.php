<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Condition\Facts;
use Telamon\Projects\Project;
use Telamon\Submissions\PastCircumstances;
use Telamon\Submissions\Submission;

/** What the conditions of checklists may ask about. */
final readonly class AnswersOfProject
{
    public function __construct(private EntityManagerInterface $em, private PastCircumstances $past)
    {
    }

    /** @return Facts|null null where no submission opened it: conditions that ask about answers do not hold then */
    public function of(Project $project): ?Facts
    {
        return null === $project->submissionId ? null : $this->ofSubmission($project->submissionId);
    }

    public function ofSubmission(string $id): ?Facts
    {
        $submission = $this->em->find(Submission::class, $id);

        return null === $submission ? null : $this->past->of($submission)->facts();
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Staff\HandsOver;
use Telamon\Staff\Staff;

/** The arrivals that were given to somebody and still wait. */
final readonly class ArrivalsHandedOver implements HandsOver
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function what(int $count): string
    {
        return 1 === $count ? '1 arrival' : "$count arrivals";
    }

    public function count(Staff $from): int
    {
        return $this->em->getRepository(Submission::class)->count(['assignee' => $from, 'state' => SubmissionState::Waiting]);
    }

    public function hand(Staff $from, Staff $to): void
    {
        foreach ($this->em->getRepository(Submission::class)->findBy(['assignee' => $from, 'state' => SubmissionState::Waiting]) as $submission) {
            $submission->assignTo($to);
        }
    }
}

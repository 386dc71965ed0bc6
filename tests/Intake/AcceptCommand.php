<?php

declare(strict_types=1);

namespace Telamon\Tests\Intake;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Telamon\Http\Problem;
use Telamon\Planning\Acceptor;
use Telamon\Planning\PlanMaker;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;
use Telamon\Submissions\Submission;

/** Accepts the newest submission in a process of its own, so that a test can kill it or run two at once. */
#[AsCommand('test:accept')]
final class AcceptCommand extends Command
{
    public function __construct(private readonly EntityManagerInterface $em, private readonly PlanMaker $plans, private readonly Acceptor $acceptor)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $submission = $this->em->getRepository(Submission::class)->findOneBy([], ['number' => 'DESC']) ?? throw new \LogicException('nothing came in');
        $staff = $this->em->getRepository(Staff::class)->findOneBy(['initials' => 'NQ']) ?? throw new \LogicException('nobody is there');
        try {
            $this->acceptor->accept($submission, $this->plans->plan($submission)->fingerprint, [], $staff);
        } catch (Refusal $problem) {
            // Exit codes end at 255.
            return Problem::of($problem)->status - 400;
        }

        return 0;
    }
}

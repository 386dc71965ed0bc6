<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Filesystem\Filesystem;
use Telamon\Business\Business;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Clients\ContactPoint;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Submissions\Submission;

/** Loads the demo, all of it or nothing. */
#[AsCommand('telamon:demo:load', 'Load the Marrowby Piano Workshop into an empty installation')]
final class LoadCommand extends Command
{
    private const SEED = 48217;

    public function __construct(
        private readonly EntityManagerInterface $em,
        private readonly DemoBusiness $business,
        private readonly DemoForms $forms,
        private readonly DemoDiary $diary,
        private readonly DemoExtras $extras,
        private readonly DemoRules $rules,
        private readonly DemoHistory $history,
        private readonly DemoArrivals $arrivals,
        private readonly DemoQuotes $quotes,
        private readonly DemoReplies $replies,
        private readonly DemoFollowUps $followUps,
        private readonly DemoNotices $notices,
        private readonly DemoTimeline $timeline,
        private readonly Changes $changes,
        private readonly Profile $profile,
        private readonly ClockInterface $clock,
        private readonly string $dataFolder,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('setup-only', null, InputOption::VALUE_NONE, 'Only the staff, setup and forms, without clients and history');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (null !== $this->em->getRepository(Business::class)->findOneBy([])) {
            $output->writeln('There is a business on file already; nothing was loaded.');

            return Command::SUCCESS;
        }
        $drafts = "{$this->dataFolder}/demo";
        (new Filesystem())->mkdir($drafts);
        $setupOnly = true === $input->getOption('setup-only');
        $this->em->getConnection()->transactional(function () use ($drafts, $setupOnly): void {
            $now = $this->clock->now();
            $today = new \DateTimeImmutable($now->setTimezone(new \DateTimeZone('Europe/Dublin'))->format('Y-m-d'), new \DateTimeZone('UTC'));
            $this->changes->carryOut(Act::of(ChangeKind::Setup, 'set the business up')->at($now->modify('-121 days')), fn () => $this->business->load($today));
            $this->forms->load($now->modify('-120 days'));
            $this->diary->load($now->modify('-90 days'));
            if ($setupOnly) {
                return;
            }
            $this->extras->load($now->modify('-30 days'));
            $this->rules->load($now->modify('-20 days'));
            $dice = new DemoDice(self::SEED);
            $people = new DemoPeople($dice);
            $persons = array_map(static fn (): array => $people->person(), range(1, 38));
            $known = $this->history->clients([...$persons, ...$people->halls()], $people, $dice, $today);
            $this->shareAnAddress($now);
            $this->arrivals->plan($known, $people, $dice, new DemoPictures($drafts), $this->profile->workingTime(), $now);
            $this->followUps->plan($now);
            $this->notices->plan($now);
            $this->replies->plan($now);
            $this->em->clear();
            $this->profile->reset();
            $this->timeline->runUntil($now);
            $this->extras->twice($now->modify('-1 day'));
            $this->history->appointments($today, $now);
            $this->quotes->load($now);
        });
        (new Filesystem())->remove($drafts);
        $output->writeln(\sprintf('Loaded %d clients and %d submissions.', $this->em->getRepository(Client::class)->count(), $this->em->getRepository(Submission::class)->count()));

        return Command::SUCCESS;
    }

    /** Two people of one household with one mail address: the plan asks who wrote. */
    private function shareAnAddress(\DateTimeImmutable $now): void
    {
        $this->changes->carryOut(Act::of(ChangeKind::Setup, 'put the card index on file')->at($now->modify('-95 days')), function (): void {
            $colm = $this->em->getRepository(Client::class)->findOneBy(['givenName' => 'Colm', 'familyName' => 'Spindle']) ?? throw new \LogicException('Colm is on file');
            $ida = new Client('Ida', 'Spindle', $colm->address, $colm->since->modify('+200 days'));
            $this->em->persist($ida);
            $email = $colm->first(ContactKind::Email) ?? '';
            $this->em->persist(new ContactPoint($ida, ContactKind::Email, $email, mb_strtolower($email)));
        });
    }
}

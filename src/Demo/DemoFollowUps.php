<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\StageEnd;
use Telamon\FollowUps\FollowUp;
use Telamon\FollowUps\FollowUpChanges;
use Telamon\FollowUps\FollowUpRun;
use Telamon\FollowUps\FollowUpSweep;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Messages\Ground;
use Telamon\Messages\Message;
use Telamon\Messages\MessageState;
use Telamon\Projects\Project;
use Telamon\Refusal\Refusal;
use Telamon\Replies\MailIn;
use Telamon\Replies\StandInLetters;
use Telamon\Staff\Staff;
use Telamon\Tasks\Task;

/** Follow-ups of the last weeks: some people stand inside, some have answered. */
final readonly class DemoFollowUps
{
    /** Hours before now at which one more begins, and which. */
    private const BEGIN = [
        [310, 'first-answer'],
        [262, 'first-answer'],
        [190, 'photographs'],
        [166, 'first-answer'],
        [100, 'first-answer'],
        [76, 'first-answer'],
        [51, 'photographs'],
        [28, 'first-answer'],
        [6, 'first-answer'],
    ];

    /** Days before now at which one began in the months before, the hours until they answered (0 for never), and what they wrote. */
    private const BEFORE = [
        [76, 9, 'Yes please, go ahead.'], [74, 0, ''], [71, 52, 'Could you ring me on Monday?'], [69, 4, 'Yes, that would be lovely.'],
        [67, 80, 'No thank you, we have found somebody.'],
        [64, 0, ''], [62, 26, 'How much would it be without the key tops?'], [59, 71, 'Yes please.'], [57, 2, 'Thank you, go ahead.'], [54, 190, 'No thank you.'],
        [52, 49, 'Yes please, go ahead.'], [49, 0, ''], [47, 19, 'Do you come out as far as Ambry?'], [45, 75, 'Yes please.'], [43, 0, ''],
        [40, 6, 'Yes please, go ahead.'], [38, 101, 'Please ask me again in two weeks.'], [36, 31, 'No thank you, it is sold.'], [33, 0, ''], [31, 54, 'Yes please.'],
        [29, 14, 'What would a day in the week cost?'], [26, 0, ''], [24, 73, 'Yes, go ahead.'], [21, 3, 'Yes please.'], [18, 60, 'Thank you, go ahead.'], [16, 0, ''],
    ];

    public function __construct(
        private EntityManagerInterface $em,
        private DemoTimeline $timeline,
        private DemoOffice $office,
        private FollowUpChanges $changes,
        private FollowUpSweep $sweep,
        private Changes $journal,
        private MailIn $in,
        private StandInLetters $letters,
    ) {
    }

    public function plan(\DateTimeImmutable $now): void
    {
        $this->timeline->at($now->modify('-77 days'), function (): void {
            $this->journal->carryOut(Act::of(ChangeKind::Setup, 'switched on two follow-ups')->at($this->timeline->now()), function (): void {
                foreach (['first-answer', 'photographs'] as $key) {
                    $this->em->getRepository(FollowUp::class)->findOneBy(['key' => $key])?->turn(true);
                }
            });
        });
        foreach (self::BEGIN as [$hours, $key]) {
            $this->timeline->at($now->modify("-$hours hours"), function () use ($key): void {
                $this->begin($key);
            });
        }
        foreach (self::BEFORE as [$days, $hours, $words]) {
            $this->timeline->at($now->modify("-$days days"), function () use ($now, $days, $hours, $words): void {
                $client = $this->begin('first-answer');
                if (null !== $client && $hours > 0) {
                    $this->timeline->at($now->modify("-$days days")->modify("+$hours hours"), fn () => $this->answer($client, $words));
                }
            });
        }
        for ($hours = 24 * 76; $hours > 0; $hours -= $hours > 300 ? 12 : 4) {
            $this->timeline->at($now->modify("-$hours hours"), function (): void {
                $due = $this->sweep->due();
                array_walk($due, fn (string $key) => $this->sweep->carryOut($key));
                if ([] !== $due) {
                    $this->office->send();
                    $this->finish('First answer and nudges', 3);
                }
            });
        }
    }

    /** @return string|null the client's id; null where nobody could be begun with */
    private function begin(string $key): ?string
    {
        $followUp = $this->em->getRepository(FollowUp::class)->findOneBy(['key' => $key]);
        $staff = $this->em->getRepository(Staff::class)->findOneBy(['email' => 'coordinator@marrowby.example']);
        /** @var list<Project> $projects */
        $projects = $this->em->createQueryBuilder()
            ->select('p')
            ->from(Project::class, 'p')
            ->where('p.outcome = :open AND p.client NOT IN (SELECT IDENTITY(r.client) FROM '.FollowUpRun::class.' r)')
            ->setParameter('open', StageEnd::Open->value)->orderBy('p.number', 'DESC')->setMaxResults(1)->getQuery()->getResult();
        if (null === $followUp || null === $staff || [] === $projects) {
            return null;
        }
        try {
            $this->changes->begin($followUp, $projects[0]->client, $projects[0], $staff);
        } catch (Refusal) {
            // Somebody without an address: nobody is followed up then.
            return null;
        }
        $this->office->send();

        return $projects[0]->client->id;
    }

    /** They answer the last message of the follow-up, and somebody does what that asks for. */
    private function answer(string $client, string $words): void
    {
        $sent = $this->em->getRepository(Message::class)->findOneBy(['client' => $client, 'ground' => Ground::Inquiry, 'state' => MessageState::Sent], ['queuedAt' => 'DESC']);
        if (null === $sent) {
            return;
        }
        $this->in->take($this->letters->write($sent, $sent->toAddress, '', $words));
        foreach ($this->em->getRepository(Task::class)->findBy(['project' => $sent->project, 'checklist' => 'Reply', 'finishedAt' => null]) as $task) {
            $this->office->finish($task->id);
        }
    }

    /** What a follow-up asked somebody to do, and was done since. */
    private function finish(string $by, int $days): void
    {
        $late = $this->timeline->now()->modify("-$days days");
        foreach ($this->em->getRepository(Task::class)->findBy(['checklist' => $by, 'finishedAt' => null]) as $task) {
            if ($task->due < $late) {
                $this->office->finish($task->id);
            }
        }
    }
}

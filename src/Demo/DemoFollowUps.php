<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\StageEnd;
use Telamon\FollowUps\FollowUp;
use Telamon\FollowUps\FollowUpChanges;
use Telamon\FollowUps\FollowUpRun;
use Telamon\FollowUps\FollowUpSweep;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Projects\Project;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Follow-ups of the last weeks: some people stand inside, some have answered. */
final readonly class DemoFollowUps
{
    /** Hours before now at which one more begins, and which. */
    private const BEGIN = [[310, 'first-answer'], [262, 'first-answer'], [190, 'photographs'], [166, 'first-answer'], [100, 'first-answer'], [76, 'first-answer'], [51, 'photographs'], [28, 'first-answer'], [6, 'first-answer']];

    public function __construct(private EntityManagerInterface $em, private DemoTimeline $timeline, private DemoOffice $office, private FollowUpChanges $changes, private FollowUpSweep $sweep, private Changes $journal)
    {
    }

    public function plan(\DateTimeImmutable $now): void
    {
        $this->timeline->at($now->modify('-14 days'), function (): void {
            $this->journal->carryOut(new Change(ChangeKind::Setup, 'switched on two follow-ups', null, $this->timeline->now()), function (): void {
                foreach (['first-answer', 'photographs'] as $key) {
                    $this->em->getRepository(FollowUp::class)->findOneBy(['key' => $key])?->turn(true);
                }
            });
        });
        foreach (self::BEGIN as [$hours, $key]) {
            $this->timeline->at($now->modify("-$hours hours"), fn () => $this->begin($key));
        }
        for ($hours = 300; $hours > 0; $hours -= 4) {
            $this->timeline->at($now->modify("-$hours hours"), function (): void {
                if ($this->sweep->sweep() > 0) {
                    $this->office->send();
                }
            });
        }
    }

    private function begin(string $key): void
    {
        $followUp = $this->em->getRepository(FollowUp::class)->findOneBy(['key' => $key]);
        $staff = $this->em->getRepository(Staff::class)->findOneBy(['email' => 'coordinator@marrowby.example']);
        /** @var list<Project> $projects */
        $projects = $this->em->createQueryBuilder()->select('p')->from(Project::class, 'p')->where('p.outcome = :open AND p.client NOT IN (SELECT IDENTITY(r.client) FROM '.FollowUpRun::class.' r)')
            ->setParameter('open', StageEnd::Open->value)->orderBy('p.number', 'DESC')->setMaxResults(1)->getQuery()->getResult();
        if (null === $followUp || null === $staff || [] === $projects) {
            return;
        }
        try {
            $this->changes->begin($followUp, $projects[0]->client, $projects[0], $staff);
        } catch (Refusal) {
            // Somebody without an address: nobody is followed up then.
        }
        $this->office->send();
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Messenger\Event\WorkerRunningEvent;
use Telamon\Business\Profile;
use Telamon\Core\Reading\NameReader;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Messages\MessageQueue;
use Telamon\Queue\Every;
use Telamon\Staff\Staff;

/** At noon and at five, whoever has not seen a notice for an hour gets one mail with all of them: once for each notice. */
#[AsEventListener]
final class NoticeDigest
{
    private const TIMES = ['12', '17'];
    private const MOST = 30;

    private readonly Every $every;

    public function __construct(private readonly EntityManagerInterface $em, private readonly Changes $changes, private readonly MessageQueue $messages, private readonly NameReader $names, private readonly Profile $business, private readonly ClockInterface $clock, #[Autowire(env: 'TELAMON_URL')] private readonly string $address)
    {
        $this->every = new Every(60);
    }

    public function __invoke(WorkerRunningEvent $event): void
    {
        $now = $this->clock->now();
        if ($this->every->isDue($now) && \in_array($now->setTimezone($this->business->zone())->format('H'), self::TIMES, true)) {
            $this->send();
        }
    }

    public function send(): void
    {
        foreach ($this->em->getRepository(Staff::class)->findBy(['active' => true]) as $staff) {
            $unseen = $this->unseen($staff);
            if ([] === $unseen) {
                continue;
            }
            $this->changes->carryOut(new Change(ChangeKind::Send, "mailed {$staff->name} what stands on the board", null, $this->clock->now()), function () use ($staff, $unseen): void {
                $lines = array_map(static fn (Notice $notice): string => "{$notice->room->name}: {$notice->words}", $unseen);
                $this->messages->queue('notices', $staff->email, $staff->name, ['first_name' => $this->names->read($staff->name)->given, 'count' => (string) \count($unseen), 'notices' => implode("\n\n", $lines), 'link' => '' === $this->address ? '' : rtrim($this->address, '/').'/messages/notices'], null, null, null);
                foreach ($unseen as $notice) {
                    $mark = $this->em->getRepository(NoticeSeen::class)->findOneBy(['notice' => $notice, 'staff' => $staff]) ?? new NoticeSeen($notice, $staff);
                    $mark->mailedAt = $this->clock->now();
                    $this->em->persist($mark);
                }
            });
        }
    }

    /** @return list<Notice> an hour old or more, neither seen nor mailed */
    private function unseen(Staff $staff): array
    {
        /** @var list<Notice> $found */
        $found = $this->em->createQueryBuilder()->select('n')->from(Notice::class, 'n')->where('n.at <= :until AND n.at >= :since AND NOT EXISTS (SELECT s.id FROM '.NoticeSeen::class.' s WHERE s.notice = n AND s.staff = :staff AND (s.seenAt IS NOT NULL OR s.mailedAt IS NOT NULL))')
            ->setParameter('until', $this->clock->now()->modify('-1 hour'))->setParameter('since', $this->clock->now()->modify('-7 days'))->setParameter('staff', $staff)->orderBy('n.at')->setMaxResults(self::MOST)->getQuery()->getResult();

        return array_values(array_filter($found, static fn (Notice $notice): bool => $notice->room->isFor($staff) && $notice->room->admits($staff)));
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Telamon\Business\Profile;
use Telamon\Core\Reading\NameReader;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Messages\MessageQueue;
use Telamon\Queue\DueWork;
use Telamon\Staff\Staff;

/** At noon and at five, whoever has not seen a notice for an hour gets one mail with all of them: once for each notice. */
final readonly class NoticeDigest implements DueWork
{
    private const TIMES = ['12', '17'];
    private const MOST = 30;

    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private MessageQueue $messages,
        private NameReader $names,
        private Profile $business,
        private ClockInterface $clock,
        #[Autowire(env: 'TELAMON_URL')] private string $address,
    ) {
    }

    public function name(): string
    {
        return 'notice-mails';
    }

    public function words(): string
    {
        return 'What stands on the board is mailed to whoever has not seen it';
    }

    public function every(): int
    {
        return 60;
    }

    /** @return list<string> ids of whoever has something to be told, at the times of the day for it */
    public function due(): array
    {
        if (!\in_array($this->clock->now()->setTimezone($this->business->zone())->format('H'), self::TIMES, true)) {
            return [];
        }

        return array_values(array_map(
            static fn (Staff $one): string => $one->id,
            array_filter($this->em->getRepository(Staff::class)->findBy(['active' => true]), fn (Staff $one): bool => [] !== $this->unseen($one)),
        ));
    }

    public function carryOut(string $key): void
    {
        $staff = $this->em->find(Staff::class, $key);
        if (null === $staff || !$staff->active) {
            return;
        }
        $this->changes->carryOut(Act::of(ChangeKind::Send, "mailed {$staff->name} what stands on the board"), function () use ($staff): void {
            // Asked under the lock: they may have looked meanwhile.
            $unseen = $this->unseen($staff);
            if ([] === $unseen) {
                return;
            }
            $lines = array_map(static fn (Notice $notice): string => "{$notice->room->name}: {$notice->words}", $unseen);
            $this->messages->queue(
                'notices',
                $staff->email,
                $staff->name,
                [
                    'first_name' => $this->names->read($staff->name)->given,
                    'count' => (string) \count($unseen),
                    'notices' => implode("\n\n", $lines),
                    'link' => '' === $this->address ? '' : rtrim($this->address, '/').'/messages/notices',
                ],
                null,
                null,
                null,
            );
            foreach ($unseen as $notice) {
                $mark = $this->em->getRepository(NoticeSeen::class)->findOneBy(['notice' => $notice, 'staff' => $staff]) ?? new NoticeSeen($notice, $staff);
                $mark->mailedAt = $this->clock->now();
                $this->em->persist($mark);
            }
        });
    }

    /** @return list<Notice> an hour old or more, neither seen nor mailed */
    private function unseen(Staff $staff): array
    {
        /** @var list<Notice> $found */
        $found = $this->em->createQueryBuilder()
            ->select('n')
            ->from(Notice::class, 'n')
            ->where(
                'n.at <= :until AND n.at >= :since AND NOT EXISTS (SELECT s.id FROM '.NoticeSeen::class.' s WHERE s.notice = n AND s.staff = :staff AND (s.seenAt IS NOT NULL OR s.mailedAt IS NOT NULL))',
            )
            ->setParameter('until', $this->clock->now()->modify('-1 hour'))->setParameter('since', $this->clock->now()->modify('-7 days'))->setParameter('staff', $staff)->orderBy('n.at')->setMaxResults(self::MOST)->getQuery()->getResult();

        return array_values(array_filter($found, static fn (Notice $notice): bool => $notice->room->isFor($staff) && $notice->room->admits($staff)));
    }
}

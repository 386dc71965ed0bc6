<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Telamon\Business\Profile;
use Telamon\Core\Reading\NameReader;
use Telamon\Messages\MessageQueue;
use Telamon\Staff\Staff;

/** Puts a notice on the board, tells at once whoever is on call, and sends it on to where the room posts. Call it inside a change. */
final readonly class Publishing
{
    public function __construct(
        private EntityManagerInterface $em,
        private MessageQueue $messages,
        private NameReader $names,
        private Profile $business,
        private ClockInterface $clock,
        #[Autowire(env: 'TELAMON_URL')] private string $address,
    ) {
    }

    /** @param Staff|null $writer who need not be told */
    public function publish(Notice $notice, ?Staff $writer = null): void
    {
        $this->em->persist($notice);
        $room = $notice->room;
        foreach ($room->onCallAt($this->clock->now()->setTimezone($this->business->zone())) as $id) {
            $staff = $this->em->find(Staff::class, $id);
            if (null !== $staff && $staff !== $writer && $staff->active && $room->admits($staff)) {
                $this->mail($notice, $staff);
            }
        }
        if ('' !== $room->postTo) {
            $this->em->persist(new NoticePost($notice, $this->clock->now(), $this->clock->now()));
        }
    }

    /** Told at once, it is not told again at noon. */
    private function mail(Notice $notice, Staff $staff): void
    {
        $this->messages->queue(
            'notices',
            $staff->email,
            $staff->name,
            [
                'first_name' => $this->names->read($staff->name)->given,
                'count' => '1',
                'notices' => "{$notice->room->name}: {$notice->words}",
                'link' => '' === $this->address ? '' : rtrim($this->address, '/').'/messages/notices',
            ],
            $notice->client,
            $notice->project,
            $notice->submissionId,
        );
        $mark = new NoticeSeen($notice, $staff);
        $mark->mailedAt = $this->clock->now();
        $this->em->persist($mark);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Messages\Incoming;
use Telamon\Messages\Message;
use Telamon\Messages\MessageState;
use Telamon\Replies\MailIn;
use Telamon\Replies\StandInLetters;

/** What clients answered in the last days. */
final readonly class DemoReplies
{
    /** Hours before now, and what they wrote to the next of the last confirmations. */
    private const REPLIES = [
        [50, "Thank you so much for the quick answer!\n\nBest wishes"],
        [27, 'No thank you, my cousin has found us a tuner in the village.'],
        [23, 'Could you ask me again in March? We are painting the hall until then.'],
        [5, 'How long does a visit take, and is there anywhere to park the van?'],
        [2, 'Grand, go ahead. Any day but the Friday.'],
        [1, 'Yes, but only if the lid is done too. We had hoped for one bill.'],
    ];

    public function __construct(private EntityManagerInterface $em, private DemoTimeline $timeline, private MailIn $in, private StandInLetters $letters)
    {
    }

    public function plan(\DateTimeImmutable $now): void
    {
        foreach (self::REPLIES as [$hours, $words]) {
            $this->timeline->at($now->modify("-$hours hours"), function () use ($words): void {
                /** @var list<Message> $sent */
                $sent = $this->em->createQueryBuilder()
                    ->select('m')
                    ->from(Message::class, 'm')
                    ->where(
                        'm.kind = :kind AND m.template = :template AND m.state = :state AND m.project IS NOT NULL AND m.client NOT IN (SELECT IDENTITY(i.client) FROM '.Incoming::class.' i WHERE i.client IS NOT NULL)',
                    )
                    ->setParameter('kind', 'confirmation')->setParameter('template', 'confirmation')->setParameter('state', MessageState::Sent->value)->orderBy('m.queuedAt', 'DESC')->addOrderBy('m.id', 'DESC')->setMaxResults(1)->getQuery()->getResult();
                if ([] !== $sent) {
                    $this->in->take($this->letters->write($sent[0], $sent[0]->toAddress, '', $words));
                }
            });
        }
        $this->timeline->at($now->modify('-20 hours'), function (): void {
            $this->in->take(
                "From: Post Office <mailer-daemon@mx.example>\r\nSubject: Out of office: back on Monday\r\nAuto-Submitted: auto-replied\r\nMessage-ID: <away-1@mx.example>\r\n\r\nI am away until Monday.\r\n",
            );
        });
    }
}

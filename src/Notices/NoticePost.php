<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;

/** A notice on its way to a chat of the business's own. No part of the journal: taken back, the notice takes it along. */
#[ORM\Entity]
#[ORM\Index(columns: ['state', 'next_at'])]
class NoticePost
{
    /** Seconds until it is tried again, after the first, the second, … try that failed. */
    private const WAITS = [60, 300, 1800, 7200, 43200];

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(length: 10, enumType: PostState::class)]
    public PostState $state = PostState::Waiting;

    #[ORM\Column]
    public int $tries = 0;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $sentAt = null;

    #[ORM\Column(length: 300)]
    public string $answer = '';

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Notice $notice,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $madeAt,
        #[ORM\Column(nullable: true)]
        public ?\DateTimeImmutable $nextAt,
    ) {
        $this->id = Ids::next();
    }

    public function arrived(string $answer, \DateTimeImmutable $now): void
    {
        ++$this->tries;
        $this->state = PostState::Sent;
        $this->sentAt = $now;
        $this->nextAt = null;
        $this->answer = mb_substr($answer, 0, 300);
    }

    public function missed(string $why, \DateTimeImmutable $now): void
    {
        $wait = self::WAITS[$this->tries] ?? null;
        ++$this->tries;
        $this->answer = mb_substr($why, 0, 300);
        $this->state = null === $wait ? PostState::Failed : PostState::Waiting;
        $this->nextAt = null === $wait ? null : $now->modify("+$wait seconds");
    }

    public function again(\DateTimeImmutable $now): void
    {
        $this->state = PostState::Waiting;
        $this->tries = 0;
        $this->nextAt = $now;
    }
}

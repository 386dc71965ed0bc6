<?php

declare(strict_types=1);

namespace Telamon\Drafts;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Queue\DueWork;

/** What was typed half a year ago and looked at by nobody since is let go. */
final readonly class DraftSweep implements DueWork
{
    private const KEPT = '-180 days';

    public function __construct(private EntityManagerInterface $em, private ClockInterface $clock)
    {
    }

    public function name(): string
    {
        return 'drafts';
    }

    public function words(): string
    {
        return 'Old drafts are let go';
    }

    public function every(): int
    {
        return 86_400;
    }

    /** @return list<string> ids */
    public function due(): array
    {
        /** @var list<string> $ids */
        $ids = $this->em->createQuery('SELECT d.id FROM '.Draft::class.' d WHERE d.at < :then ORDER BY d.at')
            ->setParameter('then', $this->then())
            ->setMaxResults(1000)
            ->getSingleColumnResult();

        return $ids;
    }

    public function carryOut(string $key): void
    {
        $this->em->createQuery('DELETE FROM '.Draft::class.' d WHERE d.id = :id AND d.at < :then')->setParameters(['id' => $key, 'then' => $this->then()])->execute();
    }

    private function then(): \DateTimeImmutable
    {
        return $this->clock->now()->modify(self::KEPT);
    }
}

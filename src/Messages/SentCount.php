<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;

/** How often a template went to an address lately: what anybody may set off must not fill a mailbox. */
final readonly class SentCount
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function since(string $template, string $to, \DateTimeImmutable $since): int
    {
        $count = $this->em->createQueryBuilder()->select('COUNT(m.id)')->from(Message::class, 'm')
            ->where('m.template = :template AND m.toAddress = :to AND m.queuedAt > :since')
            ->setParameter('template', $template)->setParameter('to', $to)->setParameter('since', $since)
            ->getQuery()->getSingleScalarResult();

        return is_numeric($count) ? (int) $count : 0;
    }
}

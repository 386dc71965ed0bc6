<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Staff\HandsOver;
use Telamon\Staff\Staff;

/** The quotes that somebody leads and that are not answered. */
final readonly class QuotesHandedOver implements HandsOver
{
    private const OPEN = [QuoteState::Draft, QuoteState::Sent, QuoteState::Opened];

    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function what(int $count): string
    {
        return 1 === $count ? '1 open quote' : "$count open quotes";
    }

    public function count(Staff $from): int
    {
        return $this->em->getRepository(Quote::class)->count(['lead' => $from, 'state' => self::OPEN]);
    }

    public function hand(Staff $from, Staff $to): void
    {
        foreach ($this->em->getRepository(Quote::class)->findBy(['lead' => $from, 'state' => self::OPEN]) as $quote) {
            $quote->beLedBy($to);
        }
    }
}

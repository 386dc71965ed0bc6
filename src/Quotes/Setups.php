<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\Quotes\Priced;

/** How the business quotes, and what is on its price list today. */
final readonly class Setups
{
    public function __construct(private EntityManagerInterface $em, private Profile $business, private ClockInterface $clock)
    {
    }

    /** Nobody has to set anything up before the first quote: then it is as usual. */
    public function setup(): QuoteSetup
    {
        return $this->em->find(QuoteSetup::class, QuoteSetup::ID) ?? new QuoteSetup();
    }

    /** @return string local day, ISO 8601 */
    public function today(): string
    {
        return $this->clock->now()->setTimezone($this->business->zone())->format('Y-m-d');
    }

    /** @return array<string, Priced> what is offered today, by code */
    public function prices(): array
    {
        $prices = [];
        $today = $this->today();
        foreach ($this->em->getRepository(PriceItem::class)->findBy(['retired' => false], ['code' => 'ASC']) as $item) {
            if ($item->isOfferedOn($today)) {
                $prices[$item->code] = $item->priced();
            }
        }

        return $prices;
    }
}

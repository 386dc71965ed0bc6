<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Diary\BookingPage;
use Telamon\Diary\VisitType;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\NotThere;

/** Finds booking pages and the types that are offered on them. */
final readonly class BookingPages
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function findLive(string $slug): ?BookingPage
    {
        return $this->em->getRepository(BookingPage::class)->findOneBy(['slug' => $slug, 'live' => true]);
    }

    /** @throws NotThere */
    public function page(string $slug): BookingPage
    {
        return $this->findLive($slug) ?? throw new NotThere('page, or it is closed');
    }

    /** @return list<VisitType> in the page's order */
    public function types(BookingPage $page): array
    {
        $found = [];
        foreach ($this->em->getRepository(VisitType::class)->findBy(['id' => $page->types, 'live' => true]) as $type) {
            $found[$type->id] = $type;
        }

        return array_values(array_filter(array_map(static fn (string $id): ?VisitType => $found[$id] ?? null, $page->types)));
    }

    /** @throws InvalidInput where the page does not offer it */
    public function type(BookingPage $page, string $slug): VisitType
    {
        foreach ($this->types($page) as $type) {
            if ($type->slug === $slug) {
                return $type;
            }
        }
        throw new InvalidInput('type', 'Choose what it is for.');
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Telamon\Diary\BookingPage;
use Telamon\Diary\Wanted;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Http\PublicLimits;

/** What a booking page asks: its types, the free times, holding one and booking it. */
#[Route('/api/public/booking/{slug}')]
final readonly class PublicBookingController
{
    public function __construct(
        private BookingPages $pages,
        private BookingView $view,
        private BookingTimes $times,
        private Bookings $bookings,
        private BookingLinks $links,
        private WhoBooks $who,
        private WaitingList $waiting,
        private PublicLimits $limits,
        private EntityManagerInterface $em,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function show(string $slug, Request $request): Response
    {
        $page = $this->pages->page($slug);
        $token = $request->query->getString('t');

        return new JsonResponse($this->view->show($page, '' === $token ? null : $this->links->begun($token)));
    }

    #[Route('/times', methods: ['GET'])]
    public function times(string $slug, Request $request): Response
    {
        $page = $this->pages->page($slug);
        $begun = $this->links->begun($request->query->getString('t'));
        $from = $request->query->getString('from');
        if ('' !== $from && 1 !== preg_match('/^\d{4}-\d{2}-\d{2}$/D', $from)) {
            throw Problem::invalid('from', 'Write a day like 2026-12-01.');
        }
        $wanted = $this->wanted($page, $begun, $request->query->all());
        $times = $this->times->of($wanted, $from);
        $offers = array_sum(array_map(
            static fn (mixed $day): int => \is_array($day) && \is_array($day['starts'] ?? null) ? \count($day['starts']) : 0,
            \is_array($times['days']) ? $times['days'] : [],
        ));
        $this->em->wrapInTransaction(fn () => $this->bookings->reached($begun, 'times', $wanted->type->slug, page: $page->slug, offers: $offers));

        return new JsonResponse($times);
    }

    #[Route('/holds', methods: ['POST'])]
    public function hold(string $slug, Request $request): Response
    {
        $this->limits->booking($request);
        $body = JsonBody::read($request);
        $page = $this->pages->page($slug);
        $begun = $this->links->begun(JsonBody::text($body, 't', 300));

        return new JsonResponse($this->view->held($this->bookings->hold($begun, $this->wanted($page, $begun, $body), self::at($body))), 201);
    }

    #[Route('/holds/longer', methods: ['POST'])]
    public function longer(string $slug, Request $request): Response
    {
        $this->limits->booking($request);
        $this->pages->page($slug);

        return new JsonResponse($this->view->held($this->bookings->keepLonger($this->links->begun(JsonBody::text(JsonBody::read($request), 't', 300)))));
    }

    #[Route('/bookings', methods: ['POST'])]
    public function book(string $slug, Request $request): Response
    {
        $this->limits->booking($request);
        $body = JsonBody::read($request);
        $page = $this->pages->page($slug);
        $begun = $this->links->begun(JsonBody::text($body, 't', 300));

        return new JsonResponse($this->view->visit($this->bookings->book($begun, $this->wanted($page, $begun, $body), self::at($body), self::zone($body))), 201);
    }

    #[Route('/waits', methods: ['POST'])]
    public function wait(string $slug, Request $request): Response
    {
        $this->limits->booking($request);
        $body = JsonBody::read($request);
        $page = $this->pages->page($slug);
        $begun = $this->links->begun(JsonBody::text($body, 't', 300));

        return new JsonResponse($this->view->waits($this->waiting->join($begun, $this->wanted($page, $begun, $body), self::at($body), self::zone($body))), 201);
    }

    #[Route('/waits/leave', methods: ['POST'])]
    public function leave(string $slug, Request $request): Response
    {
        $this->limits->booking($request);
        $this->pages->page($slug);
        $this->waiting->leave($this->links->begun(JsonBody::text(JsonBody::read($request), 't', 300)));

        return new Response(status: 204);
    }

    /** @param array<array-key, mixed> $body */
    private static function zone(array $body): string
    {
        $zone = JsonBody::text($body, 'zone', 60);

        // What a browser calls its zone and nobody else knows is no reason to send anybody away.
        return \in_array($zone, \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC), true) ? $zone : '';
    }

    /** @param array<array-key, mixed> $said */
    private function wanted(BookingPage $page, Begun $begun, array $said): Wanted
    {
        $type = $this->pages->type($page, JsonBody::text($said, 'type', 60));
        $settings = $type->settings();
        $length = $said['length'] ?? $settings->lengths[0];
        $length = is_numeric($length) ? (int) $length : 0;
        if (!\in_array($length, $settings->lengths, true)) {
            throw Problem::invalid('length', 'Choose how long it takes.');
        }

        return new Wanted($type, $length, $this->who->of($begun)['address'], JsonBody::text($said, 'with', 36), begunBy: $begun->id);
    }

    /** @param array<array-key, mixed> $body */
    public static function at(array $body): \DateTimeImmutable
    {
        $text = JsonBody::text($body, 'at', 40);
        if (1 !== preg_match('/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2})?(Z|[+-]\d{2}:\d{2})$/D', $text)) {
            throw Problem::invalid('at', 'Choose a time.');
        }
        try {
            return new \DateTimeImmutable($text);
        } catch (\Exception) {
            throw Problem::invalid('at', 'There is no such time.');
        }
    }
}

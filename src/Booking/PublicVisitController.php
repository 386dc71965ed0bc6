<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Telamon\Business\Profile;
use Telamon\Business\PublicFace;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Http\PublicLimits;

/** An appointment by the link that its mail holds. */
#[Route('/api/public/visits/{token}', requirements: ['token' => '[0-9a-f.-]{50,200}'])]
final readonly class PublicVisitController
{
    public function __construct(
        private BookingLinks $links,
        private BookingView $view,
        private BookingTimes $times,
        private Visits $visits,
        private Invitation $invitation,
        private PublicLimits $limits,
        private Profile $business,
        private PublicFace $face,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function show(string $token): Response
    {
        return $this->answer($this->links->visit($token));
    }

    #[Route('/times', methods: ['GET'])]
    public function times(string $token, Request $request): Response
    {
        $appointment = $this->links->visit($token);
        $from = $request->query->getString('from');
        if ('' !== $from && 1 !== preg_match('/^\d{4}-\d{2}-\d{2}$/D', $from)) {
            throw Problem::invalid('from', 'Write a day like 2026-12-01.');
        }

        return new JsonResponse($this->times->of($this->visits->wanted($appointment) ?? throw Problem::notFound('page of times'), $from));
    }

    #[Route('/calendar.ics', methods: ['GET'])]
    public function calendar(string $token): Response
    {
        return new Response(
            $this->invitation->make($this->links->visit($token), 'PUBLISH', 0, ''),
            200,
            ['Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => 'attachment; filename="visit.ics"'],
        );
    }

    #[Route('/move', methods: ['POST'])]
    public function move(string $token, Request $request): Response
    {
        return $this->changed($token, $request, fn (Appointment $appointment) => $this->visits->move($appointment, PublicBookingController::at(JsonBody::read($request))));
    }

    #[Route('/cancel', methods: ['POST'])]
    public function cancel(string $token, Request $request): Response
    {
        return $this->changed($token, $request, $this->visits->cancel(...));
    }

    #[Route('/yes', methods: ['POST'])]
    public function accept(string $token, Request $request): Response
    {
        return $this->changed($token, $request, $this->visits->accept(...));
    }

    #[Route('/wish', methods: ['POST'])]
    public function wish(string $token, Request $request): Response
    {
        return $this->changed($token, $request, fn (Appointment $appointment) => $this->visits->ask($appointment, JsonBody::text(JsonBody::read($request), 'words', 2000)));
    }

    /** @param \Closure(Appointment): void $do */
    private function changed(string $token, Request $request, \Closure $do): Response
    {
        $this->limits->booking($request);
        $appointment = $this->links->visit($token);
        $do($appointment);

        return $this->answer($appointment);
    }

    private function answer(Appointment $appointment): Response
    {
        $business = $this->business->business();
        $settings = $appointment->type?->settings();

        return new JsonResponse([
            'visit' => $this->view->visit($appointment), 'open' => $this->visits
                ->isOpen($appointment), 'over' => $this->visits
                ->isOver($appointment), 'notice' => $settings->cancelNotice ?? 1440, 'movable' => null !== $settings, 'wish' => $appointment->wish, 'zone' => $business->timeZone,
            'until' => AppointmentState::Offered === $appointment->state ? $appointment->heldUntil?->setTimezone($this->business->zone())->format(\DATE_RFC3339) : null,
            'business' => $this->face->show(),
            'coordinator' => $business->coordinator->name,
        ]);
    }
}

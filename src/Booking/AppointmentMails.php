<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Clients\ConfirmedAddresses;
use Telamon\Clients\ContactKind;
use Telamon\Core\Reading\NameReader;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Diary\BookedTimes;
use Telamon\Messages\Channel;
use Telamon\Messages\GivesExamples;
use Telamon\Messages\Message;
use Telamon\Messages\MessageQueue;
use Telamon\Messages\Purpose;

/** Writes mails about appointments. Call it inside a change. */
final readonly class AppointmentMails implements GivesExamples
{
    public function __construct(
        private EntityManagerInterface $em,
        private MessageQueue $messages,
        private BookedTimes $booked,
        private BookingLinks $links,
        private NameReader $names,
        private ConfirmedAddresses $confirmed,
        private Profile $business,
    ) {
    }

    /** @return string where the client is written to; empty where nobody knows */
    public function address(Appointment $appointment): string
    {
        return '' === $appointment->email ? ($appointment->client?->first(ContactKind::Email) ?? '') : $appointment->email;
    }

    /**
     * @param string $template key of the text
     *
     * @return Message|null null where the client has no mail address, and no number that the text has words for
     */
    public function toClient(Appointment $appointment, string $template): ?Message
    {
        return $this->send($appointment, $template, []);
    }

    /**
     * One mail for all of a series.
     *
     * @param non-empty-list<Appointment> $series in order of time
     *
     * @return Message|null null where the client has no mail address
     */
    public function ofSeries(array $series): ?Message
    {
        return $this->send(
            $series[0],
            'series',
            ['count' => (string) \count($series), 'dates' => implode("\n", array_map(fn (Appointment $one): string => "When: {$this->when($one)}", $series))],
        );
    }

    /** Whether anything of this template reaches them. */
    public function reaches(Appointment $appointment, string $template): bool
    {
        return '' !== $this->way($appointment, $template)[1];
    }

    /** @return array{Channel, string} by what it goes, and where to; empty where nothing reaches them */
    private function way(Appointment $appointment, string $template): array
    {
        $email = $this->address($appointment);
        $number = $this->messages->number($template, $appointment->client, '' === $email);

        return '' === $number ? [Channel::Mail, $email] : [Channel::Text, $number];
    }

    /** @param array<string, string> $fields beyond those of the appointment */
    private function send(Appointment $appointment, string $template, array $fields): ?Message
    {
        [$by, $to] = $this->way($appointment, $template);

        return '' === $to
            ? null
            : $this->messages->queue(
                $template,
                $to,
                !$appointment->isFromOutside() || $this->confirmed->has($to) ? $appointment->with() : ConfirmedAddresses::plainName($appointment->with()),
                $fields + $this->fields($appointment),
                $appointment->client,
                $appointment->project,
                $appointment->submissionId,
                by: $by,
            );
    }

    /** Tells the coordinator what the client wants changed. */
    public function wish(Appointment $appointment): void
    {
        $to = $this->business->coordinator();
        $phone = $appointment->client?->first(ContactKind::Phone) ?? '';
        $this->messages->queue('wish', $to->email, $to->name, [
            'first_name' => $this->names->read($to->name)->given, 'client' => $appointment->with(), 'visit' => $appointment->title, 'when' => $this->booked->when($appointment),
            'words' => $appointment->wish, 'phone' => '' === $phone ? '' : $this->business->phoneReader()->format($phone), 'link' => '',
        ], $appointment->client, $appointment->project, $appointment->submissionId);
    }

    public function purpose(): Purpose
    {
        return Purpose::Visit;
    }

    public function records(): array
    {
        return array_map(
            fn (Appointment $one): array => ['id' => $one->id, 'label' => "{$one->with()}, {$this->booked->when($one)}", 'path' => "/diary/{$one->id}"],
            $this->em->getRepository(Appointment::class)->findBy([], ['startsAt' => 'DESC'], 20),
        );
    }

    public function values(string $id): ?array
    {
        $appointment = $this->em->find(Appointment::class, $id);

        return null === $appointment ? null : $this->fields($appointment);
    }

    /** @return array<string, string> */
    private function fields(Appointment $appointment): array
    {
        // What a stranger wrote as name or place is not mailed in our name to an address that nobody has confirmed.
        $known = !$appointment->isFromOutside() || $this->confirmed->has($this->address($appointment));
        $settings = $appointment->type?->settings();
        $theirs = $this->when($appointment);
        $here = $this->booked->when($appointment);
        $until = $appointment->heldUntil?->setTimezone($this->business->zone())->format('l j F, H:i') ?? '';

        return [
            'first_name' => $this->names->read($known ? $appointment->with() : ConfirmedAddresses::plainName($appointment->with()))->given, 'visit' => $appointment->title,
            'when' => $theirs, 'when_here' => $theirs === $here ? '' : $here, 'place' => $known ? $appointment->place : '', 'with' => $this->booked->with($appointment),
            'says' => $settings->says ?? '', 'price' => $settings->price ?? '', 'until' => $until,
            'link' => AppointmentState::Cancelled === $appointment->state ? '' : $this->links->visitAddress($appointment),
            'coordinator' => $this->business->coordinator()->name,
        ];
    }

    /** By the client's clock. */
    public function when(Appointment $appointment): string
    {
        $zone = '' === $appointment->zone ? $this->business->zone() : new \DateTimeZone($appointment->zone);
        $same = $zone->getOffset($appointment->startsAt) === $this->business->zone()->getOffset($appointment->startsAt);

        return $appointment->startsAt->setTimezone($zone)
            ->format('l j F, H:i').' to '.$appointment->endsAt
            ->setTimezone($zone)
            ->format('H:i').($same ? '' : " ({$zone->getName()})");
    }
}

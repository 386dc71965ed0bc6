<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Clients\ContactKind;
use Telamon\Core\Form\Reading;
use Telamon\Diary\Appointment;
use Telamon\Diary\WaitingPlace;
use Telamon\Record\RecordRef;
use Telamon\Staff\Staff;
use Telamon\Submissions\ReadAnswers;
use Telamon\Submissions\Submission;

/** Shows an appointment, as Appointment in the contract. */
final readonly class AppointmentView
{
    public function __construct(
        private EntityManagerInterface $em,
        private AppointmentMails $mails,
        private ReadAnswers $answered,
        private WaitingList $waiting,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param int $roadBefore minutes on the road from the one before
     * @param bool $answers whether what was written for it is told too
     *
     * @return array<string, mixed>
     */
    public function show(Appointment $appointment, int $roadBefore = 0, bool $answers = false): array
    {
        $zone = $this->business->zone();
        $phone = $appointment->client?->first(ContactKind::Phone) ?? '';
        $submission = null === $appointment->submissionId ? null : $this->em->find(Submission::class, $appointment->submissionId);

        return [
            'id' => $appointment->id, 'version' => $appointment->version, 'title' => $appointment->title, 'place' => $appointment->place, 'onTheRoad' => $appointment->onTheRoad,
            'staff' => self::person($appointment->staff), 'also' => array_values(array_filter(array_map(
                fn (string $id): ?array => null === ($one = $this->em->find(Staff::class, $id)) ? null : self::person($one),
                $appointment->also,
            ))),
            'client' => RecordRef::maybe($appointment->client), 'project' => RecordRef::maybe($appointment->project), 'submission' => RecordRef::maybe($submission),
            'type' => $appointment->type?->id, 'startsAt' => $appointment->startsAt->setTimezone($zone)
                ->format(\DATE_RFC3339), 'endsAt' => $appointment->endsAt
                ->setTimezone($zone)
                ->format(\DATE_RFC3339),
            'clearBefore' => $appointment->clearBefore, 'clearAfter' => $appointment->clearAfter, 'roadBefore' => $roadBefore,
            'state' => $appointment->state->value, 'now' => $appointment->stateAt($this->clock->now()), 'heldUntil' => $appointment->heldUntil
                ?->setTimezone($zone)
                ->format(\DATE_RFC3339), 'movedFrom' => $appointment->movedFrom
                ?->setTimezone($zone)
                ->format(\DATE_RFC3339),
            'notes' => $appointment->notes, 'wish' => $appointment->wish, 'who' => $appointment->with(), 'phone' => $phone, 'phoneText' => '' === $phone ? '' : $this->business
                ->phoneReader()
                ->format($phone), 'email' => $this->mails
                ->address($appointment),
            'series' => $appointment->seriesId, 'priority' => $submission->priority ?? 0, 'answers' => $answers && null !== $submission ? $this->answers($submission) : [],
            'waiting' => $answers && null !== $appointment->type && $appointment->type->settings()->seats > 1
                ? array_map(
                    static fn (WaitingPlace $one): array => ['id' => $one->id, 'who' => $one->who, 'since' => $one->since->setTimezone($zone)->format(\DATE_RFC3339)],
                    $this->waiting->at($appointment->type->id, $appointment->startsAt),
                )
                : [],
        ];
    }

    /** @return array{id: string, name: string, initials: string} */
    public static function person(Staff $one): array
    {
        return ['id' => $one->id, 'name' => $one->name, 'initials' => $one->initials];
    }

    /** @return list<array{label: string, value: string}> */
    private function answers(Submission $submission): array
    {
        $readings = $this->answered->of($submission);

        return array_map(
            static fn (Reading $reading): array => ['label' => $reading->question->wording, 'value' => $reading->text],
            array_values(array_filter($readings->all, static fn (Reading $reading): bool => '' !== $reading->text)),
        );
    }
}

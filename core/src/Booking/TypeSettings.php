<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** What a type of appointment is: how long, where, by whom, when, and what comes of it. */
final readonly class TypeSettings
{
    /**
     * @param non-empty-list<int> $lengths minutes; the first is the usual one
     * @param int $clearBefore, $clearAfter minutes, besides the road
     * @param list<list<string>> $people ids of staff: one list, or one for each role
     * @param list<string> $resources ids of what it needs: a van, a room
     * @param string $address where it is held by video, or a room here; empty for the usual
     * @param int $step minutes of the clock between starts
     * @param int $notice minutes from now on
     * @param int|null $dayLimit, $weekLimit appointments of a person; null for no limit
     * @param string $price, $deposit in words, until there are quotes
     * @param int $cancelNotice minutes before it until which the client moves or cancels it
     * @param string $service key of the service that a project of it is for; empty for none
     * @param string $after ending of the form that is filled in after the time is chosen; empty for none
     * @param list<Reminder> $reminders
     * @param string $says what the client should know of it
     * @param int $waitHours for which a place that becomes free is kept for whoever waits for it
     */
    public function __construct(
        public array $lengths,
        public int $clearBefore,
        public int $clearAfter,
        public Takes $takes,
        public array $people,
        public Picks $picks,
        public array $resources,
        public PlaceKind $place,
        public string $address,
        public int $step,
        public int $notice,
        public int $furthestDays,
        public ?int $dayLimit,
        public ?int $weekLimit,
        public int $seats,
        public string $price,
        public string $deposit,
        public int $cancelNotice,
        public OntoProject $onto,
        public string $service,
        public string $after,
        public array $reminders,
        public string $says,
        public int $waitHours,
    ) {
    }

    /** @return list<string> ids of all who may take it */
    public function everybody(): array
    {
        return array_values(array_unique(array_merge(...$this->people)));
    }

    /** @return array<string, mixed> as TypeSettings in api/openapi.yaml */
    public function toArray(): array
    {
        return [
            'lengths' => $this->lengths, 'clearBefore' => $this->clearBefore, 'clearAfter' => $this->clearAfter,
            'takes' => $this->takes->value, 'people' => $this->people, 'picks' => $this->picks->value, 'resources' => $this->resources,
            'place' => $this->place->value, 'address' => $this->address, 'step' => $this->step, 'notice' => $this->notice, 'furthestDays' => $this->furthestDays,
            'dayLimit' => $this->dayLimit, 'weekLimit' => $this->weekLimit, 'seats' => $this->seats, 'price' => $this->price, 'deposit' => $this->deposit,
            'cancelNotice' => $this->cancelNotice, 'onto' => $this->onto->value, 'service' => $this->service, 'after' => $this->after,
            'reminders' => array_map(static fn (Reminder $one): array => ['minutes' => $one->minutes, 'template' => $one->template], $this->reminders),
            'says' => $this->says, 'waitHours' => $this->waitHours,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Clients\Client;
use Telamon\Database\Ids;
use Telamon\Projects\Project;
use Telamon\Record\TakenBack;
use Telamon\Staff\Staff;

/** A meeting or visit at a time. Shown in the diary and on the day ruler. */
#[ORM\Entity]
#[ORM\Index(columns: ['starts_at'], name: 'appointment_starts')]
#[ORM\Index(columns: ['submission_id'], name: 'appointment_submission')]
#[ORM\Index(columns: ['series_id'], name: 'appointment_series')]
#[ORM\Index(columns: ['uid'], name: 'appointment_uid')]
class Appointment implements TakenBack
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer', options: ['default' => 1])]
    public int $version = 1;

    /**
     * @var list<string> ids of the staff who come along
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $also = [];

    /**
     * @var list<string> ids of what it takes: a van, a room
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $resources = [];

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\ManyToOne]
    public ?VisitType $type = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\ManyToOne]
    public ?Client $client = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 36, nullable: true)]
    public ?string $submissionId = null;

    /** @phpstan-readonly-allow-private-mutation minutes */
    #[ORM\Column(options: ['default' => 0])]
    public int $clearBefore = 0;

    /** @phpstan-readonly-allow-private-mutation minutes */
    #[ORM\Column(options: ['default' => 0])]
    public int $clearAfter = 0;

    /** @phpstan-readonly-allow-private-mutation whether somebody travels to it */
    #[ORM\Column(options: ['default' => false])]
    public bool $onTheRoad = false;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 10, enumType: AppointmentState::class)]
    public AppointmentState $state = AppointmentState::Booked;

    /** @phpstan-readonly-allow-private-mutation until when an offered time is kept free */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $heldUntil = null;

    /** @phpstan-readonly-allow-private-mutation when it was to begin before it was moved last; null where it never was */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $movedFrom = null;

    /** @phpstan-readonly-allow-private-mutation IANA zone of the client; empty for the business's */
    #[ORM\Column(length: 60, options: ['default' => ''])]
    public string $zone = '';

    /** @phpstan-readonly-allow-private-mutation what whoever goes should know */
    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $notes = '';

    /** @phpstan-readonly-allow-private-mutation what the client asks for after the notice is over */
    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $wish = '';

    /** @phpstan-readonly-allow-private-mutation those of one series share it */
    #[ORM\Column(length: 36, nullable: true)]
    public ?string $seriesId = null;

    /** @phpstan-readonly-allow-private-mutation as calendars know it (RFC 5545) */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $uid;

    /** @phpstan-readonly-allow-private-mutation who booked it, while they are no client yet */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $who = '';

    /** @phpstan-readonly-allow-private-mutation where they are written to, while they are no client yet */
    #[ORM\Column(length: 254, options: ['default' => ''])]
    public string $email = '';

    /** @phpstan-readonly-allow-private-mutation where they are rung, while they are no client yet, as ITU-T E.164 */
    #[ORM\Column(length: 40, options: ['default' => ''])]
    public string $phone = '';

    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $title,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 300)]
        public string $place,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Staff $staff,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        public ?Project $project,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $startsAt,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $endsAt,
        /** @phpstan-readonly-allow-private-mutation when it was put there, or moved there */
        #[ORM\Column]
        public \DateTimeImmutable $placedAt,
        ?string $id = null,
    ) {
        $this->id = $id ?? Ids::next();
        $this->uid = "{$this->id}@telamon";
        $this->client = $project?->client;
    }

    /** @param list<string> $resources ids */
    public function isOf(VisitType $type, array $resources): void
    {
        $settings = $type->settings();
        $this->type = $type;
        $this->clearBefore = $settings->clearBefore;
        $this->clearAfter = $settings->clearAfter;
        $this->onTheRoad = $settings->place->isOnTheRoad();
        $this->resources = $resources;
    }

    public function isFor(?Client $client, ?Project $project): void
    {
        $this->client = $client ?? $project?->client;
        $this->project = $project;
    }

    /** @param string|null $submission id of what was filled in for it */
    public function bookedBy(string $who, string $email, string $zone, ?string $submission): void
    {
        $this->who = mb_substr($who, 0, 200);
        $this->email = mb_substr($email, 0, 254);
        $this->zone = $zone;
        $this->submissionId = $submission;
    }

    public function isRungAt(string $phone): void
    {
        $this->phone = mb_substr($phone, 0, 40);
    }

    public function isKnownAs(string $uid): void
    {
        $this->uid = $uid;
    }

    public function travel(bool $onTheRoad): void
    {
        $this->onTheRoad = $onTheRoad;
    }

    public function belongToSeries(string $series): void
    {
        $this->seriesId = $series;
    }

    public function become(string $title, string $place, string $notes): void
    {
        $this->title = $title;
        $this->place = $place;
        $this->notes = $notes;
    }

    /** @param list<string> $also ids of the staff who come along */
    public function move(\DateTimeImmutable $startsAt, \DateTimeImmutable $endsAt, Staff $staff, array $also, \DateTimeImmutable $now): void
    {
        if ($startsAt->getTimestamp() !== $this->startsAt->getTimestamp()) {
            $this->movedFrom = $this->startsAt;
        }
        $this->startsAt = $startsAt;
        $this->endsAt = $endsAt;
        $this->staff = $staff;
        $this->also = $also;
        $this->placedAt = $now;
        $this->wish = '';
    }

    /** @param list<string> $also ids of the staff who come along */
    public function goWith(Staff $staff, array $also): void
    {
        $this->staff = $staff;
        $this->also = $also;
    }

    public function offer(\DateTimeImmutable $until): void
    {
        $this->state = AppointmentState::Offered;
        $this->heldUntil = $until;
    }

    public function becomes(AppointmentState $state): void
    {
        $this->state = $state;
        $this->heldUntil = null;
        if (AppointmentState::Booked !== $state) {
            $this->wish = '';
        }
    }

    /** What the client wants changed, when they may no longer change it themselves. */
    public function wish(string $words): void
    {
        $this->wish = $words;
    }

    /** Whether somebody's time is taken by it at a moment. */
    public function stands(\DateTimeImmutable $now): bool
    {
        return $this->state->stands() && (AppointmentState::Offered !== $this->state || null === $this->heldUntil || $this->heldUntil > $now);
    }

    /** @return list<string> ids of all who are there */
    public function crew(): array
    {
        return [$this->staff->id, ...$this->also];
    }

    /** Whom it is with: the client, or whoever booked it. */
    /** Whether its client's name, address and place are what somebody wrote from outside. */
    public function isFromOutside(): bool
    {
        return null !== $this->submissionId && '' !== $this->email;
    }

    public function with(): string
    {
        return $this->client?->name() ?? $this->who;
    }

    /** @return 'to-come'|'under-way'|'done'|'waiting'|'missed' */
    public function stateAt(\DateTimeImmutable $now): string
    {
        return match (true) {
            AppointmentState::Missed === $this->state => 'missed',
            AppointmentState::Held === $this->state, $now >= $this->endsAt => 'done',
            AppointmentState::Offered === $this->state => 'waiting',
            $now >= $this->startsAt => 'under-way',
            default => 'to-come',
        };
    }

    public function recordKind(): string
    {
        return 'appointment';
    }

    public function recordLabel(): string
    {
        return '' === $this->with() ? $this->title : "{$this->title}, {$this->with()}";
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return "/diary/$id";
    }

    public function recordContext(): array
    {
        return ['client' => $this->client?->id, 'project' => $this->project?->id];
    }

    public function staysBecause(): ?string
    {
        return null;
    }

    public function stop(): void
    {
        $this->state = AppointmentState::Cancelled;
        $this->heldUntil = null;
    }

    public function goOn(): ?object
    {
        return null;
    }
}

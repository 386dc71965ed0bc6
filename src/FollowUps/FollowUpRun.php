<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Clients\Client;
use Telamon\Core\FollowUps\Course;
use Telamon\Core\FollowUps\Series;
use Telamon\Core\FollowUps\SeriesReader;
use Telamon\Core\FollowUps\Stand;
use Telamon\Core\FollowUps\Step;
use Telamon\Core\FollowUps\StepKind;
use Telamon\Database\Ids;
use Telamon\Projects\Project;
use Telamon\Record\Names;
use Telamon\Record\NamesOthers;
use Telamon\Record\PartOf;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** Somebody inside a follow-up: where they stand, when it goes on, what was done, why it ended. */
#[ORM\Entity]
#[WrittenWith(Permission::Write)]
#[ORM\Table(name: 'follow_up_run')]
#[ORM\Index(columns: ['state', 'due_at'])]
#[ORM\Index(columns: ['client_id'])]
class FollowUpRun implements NamesOthers, PartOf
{
    private const UNDELIVERED = 'a letter did not reach them: correct the address, or send it again';

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 10, enumType: RunState::class)]
    public RunState $state = RunState::Inside;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 10, enumType: Course::class)]
    public Course $course = Course::Main;

    /**
     * The next step of the course.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(name: 'place')]
    public int $index = 0;

    /**
     * When it goes on; null while it waits for a person, or has ended.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $dueAt = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    /**
     * Why it waits or ended, in words.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $why = '';

    /**
     * Of the series that they go by.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(name: 'version')]
    public int $ofVersion;

    /**
     * @var array<string, mixed> as FollowUpCourses in the contract
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[Names('template', 'stage', 'booking-page')]
    #[ORM\Column(type: 'json')]
    public array $courses;

    /**
     * @var list<array{at: string, key: string, words: string}> what was done, in order; times as RFC 3339
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json')]
    public array $log = [];

    /**
     * Key of the last step before they answered; empty where they have not.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 40, options: ['default' => ''])]
    public string $answeredAt = '';

    /**
     * When they first wrote back, booked or filled in a form; null where they have not.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $answeredOn = null;

    /**
     * The day that they named when they said "later", by the calendar of the business.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'date_immutable', nullable: true)]
    public ?\DateTimeImmutable $namedDay = null;

    /**
     * The form of theirs that it waits for somebody to look at; null where it waits for none.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 36, nullable: true)]
    public ?string $waitsForSubmission = null;

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly FollowUp $followUp,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Client $client,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        public ?Project $project,
        #[ORM\Column(length: 36, nullable: true)]
        public readonly ?string $submissionId,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 254)]
        public string $address,
        /** Who or what began it. */
        #[ORM\Column(length: 200)]
        public readonly string $startedBy,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $startedAt,
    ) {
        $this->id = Ids::next();
        $this->ofVersion = $followUp->version;
        $this->courses = $followUp->courses;
    }

    public function isInUse(): bool
    {
        return RunState::Ended !== $this->state;
    }

    public function called(): string
    {
        return "{$this->followUp->name} of {$this->client->name()}";
    }

    public function series(): Series
    {
        return (new SeriesReader())->read($this->courses);
    }

    /** It goes on as it began, with a stage or a tag that is called otherwise by now. */
    public function rename(StepKind $kind, string $from, string $to): void
    {
        $this->courses = $this->series()->renamed($kind, $from, $to)->toArray();
    }

    public function stand(): Stand
    {
        return new Stand($this->course, $this->index);
    }

    public function note(Step $step, string $words, \DateTimeImmutable $at): void
    {
        $this->log[] = ['at' => $at->format(\DATE_RFC3339), 'key' => $step->key, 'words' => mb_substr($words, 0, 200)];
    }

    public function waitAt(Stand $stand, \DateTimeImmutable $due): void
    {
        $this->state = RunState::Inside;
        $this->course = $stand->course;
        $this->index = $stand->index;
        $this->dueAt = $due;
        $this->why = '';
        $this->waitsForSubmission = null;
    }

    public function pause(string $why, \DateTimeImmutable $now): void
    {
        $this->state = RunState::Paused;
        $this->dueAt = null;
        $this->why = mb_substr($why, 0, 200);
        // What they wrote now goes before a form that waits.
        $this->waitsForSubmission = null;
        $this->answered($now);
    }

    /** A form of theirs came: nothing more goes out before somebody has looked at it. */
    public function waitFor(string $submissionId, string $why): void
    {
        $this->state = RunState::Paused;
        $this->dueAt = null;
        $this->why = mb_substr($why, 0, 200);
        $this->waitsForSubmission = $submissionId;
    }

    /** A letter did not reach them: nothing more is sent into the void. When it would have gone on is kept. */
    public function holdUndelivered(): void
    {
        if (RunState::Inside === $this->state) {
            $this->state = RunState::Paused;
            $this->why = self::UNDELIVERED;
        }
    }

    /** It is sent again, perhaps to another address: it goes on from where it stood, when it would have. */
    public function goOnTo(string $address, \DateTimeImmutable $now): void
    {
        if (RunState::Paused === $this->state && self::UNDELIVERED === $this->why) {
            $this->address = $address;
            $this->waitAt($this->stand(), max($this->dueAt ?? $now, $now));
        }
    }

    /** What it waited for was nothing: it goes on from where it stood. */
    public function goOn(\DateTimeImmutable $now): void
    {
        $this->waitAt($this->stand(), $now);
    }

    /** @param \DateTimeImmutable|null $named the day that they named */
    public function take(Course $course, \DateTimeImmutable $now, ?\DateTimeImmutable $named = null): void
    {
        $this->answered($now);
        $this->course = $course;
        $this->index = 0;
        $this->namedDay = $named;
        $this->waitsForSubmission = null;
    }

    public function end(string $why, \DateTimeImmutable $now): void
    {
        $this->state = RunState::Ended;
        $this->dueAt = null;
        $this->endedAt = $now;
        $this->why = mb_substr($why, 0, 200);
    }

    /** It goes on by the series as it is now, from there. */
    public function follow(FollowUp $followUp, Stand $stand): void
    {
        $this->ofVersion = $followUp->version;
        $this->courses = $followUp->courses;
        $this->course = $stand->course;
        $this->index = $stand->index;
    }

    public function isOver(): bool
    {
        return RunState::Ended === $this->state;
    }

    public function recordKind(): string
    {
        return 'client';
    }

    public static function partKind(): string
    {
        return 'follow-up';
    }

    public function recordLabel(): string
    {
        return "{$this->followUp->name} with {$this->client->name()}";
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return null === $client ? '/messages/follow-ups' : "/clients/$client";
    }

    public function recordContext(): array
    {
        return ['client' => $this->client->id, 'project' => $this->project?->id];
    }

    private function answered(\DateTimeImmutable $now): void
    {
        $this->answeredOn ??= $now;
        if ('' === $this->answeredAt && [] !== $this->log) {
            $this->answeredAt = $this->log[\count($this->log) - 1]['key'];
        }
    }
}

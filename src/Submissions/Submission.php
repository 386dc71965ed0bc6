<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Clients\Client;
use Telamon\Database\Ids;
use Telamon\Files\FileSource;
use Telamon\Forms\Form;
use Telamon\Forms\FormVersion;
use Telamon\Projects\Project;
use Telamon\Record\Journaled;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;
use Telamon\Staff\WrittenWith;

/** One filled-in form, kept word for word as it arrived. */
#[ORM\Entity]
#[WrittenWith(Permission::Decide)]
#[ORM\Index(columns: ['state', 'due_at', 'id'])]
#[ORM\Index(columns: ['state', 'received_at', 'id'])]
#[ORM\Index(columns: ['received_at'])]
#[ORM\Index(columns: ['form_id', 'received_at', 'id'])]
#[ORM\Index(columns: ['form_id', 'state', 'received_at', 'id'])]
#[ORM\Index(columns: ['state', 'answered_at'])]
#[ORM\Index(columns: ['sameness', 'received_at'])]
#[ORM\UniqueConstraint(columns: ['form_version_id', 'idempotency_key'])]
class Submission implements Journaled, FileSource
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer')]
    public int $version = 1;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 20, enumType: SubmissionState::class)]
    public SubmissionState $state = SubmissionState::Waiting;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 20)]
    public string $asideReason = '';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 500)]
    public string $asideNote = '';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $decidedAt = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\ManyToOne]
    public ?Staff $decidedBy = null;

    /** @phpstan-readonly-allow-private-mutation what accepted it in nobody's name, in words: “the rule “…”” */
    #[ORM\Column(length: 120, options: ['default' => ''])]
    public string $acceptedThrough = '';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\ManyToOne]
    public ?Client $client = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\ManyToOne]
    public ?Project $project = null;

    /** @phpstan-readonly-allow-private-mutation when the long form must have come for this short one to count as finished; null where none is to come. */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $continueBy = null;

    /** @phpstan-readonly-allow-private-mutation who is to decide it; nobody in particular where null. */
    #[ORM\ManyToOne]
    public ?Staff $assignee = null;

    /** @phpstan-readonly-allow-private-mutation put off until then; the promise runs on. */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $remindAt = null;

    /** @phpstan-readonly-allow-private-mutation when a person first answered: that stops the reply clock. */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $answeredAt = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\ManyToOne]
    public ?Staff $answeredBy = null;

    /** @phpstan-readonly-allow-private-mutation points that its answers count; of two that are as late, the one with more comes first. */
    #[ORM\Column(options: ['default' => 0])]
    public int $priority = 0;

    /** @phpstan-readonly-allow-private-mutation what equal answers to one form share; empty where they say too little of who wrote. */
    #[ORM\Column(length: 64, options: ['default' => ''])]
    public string $sameness = '';

    /** @phpstan-readonly-allow-private-mutation the one that said the same before. */
    #[ORM\ManyToOne(targetEntity: self::class)]
    public ?self $sameAs = null;

    /** @phpstan-readonly-allow-private-mutation whether another has said the same since; asked for only then, as nearly none has. */
    #[ORM\Column(options: ['default' => false])]
    public bool $doubled = false;

    /**
     * SHA-256 of the answers as they came: the same key with other answers is another matter. Empty where none was kept.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 64, options: ['default' => ''])]
    public string $digest = '';

    /**
     * @var array<string, mixed> what stood in the form when it was sent out, by question key; empty where it was not filled in beforehand
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '{}'])]
    public array $sent = [];

    /** Promised again by what is being carried out: accepting it is no answer then. */
    private bool $isOwed = false;

    #[ORM\ManyToOne]
    public readonly ?Form $form;

    /**
     * @param array<string, mixed> $answers by question key, as written
     * @param string $name who wrote, for lists
     * @param int $toDecide what is open in its plan, as far as is known: at first the answers that can be read in more than one way
     * @param self|null $continues the short form that this one carries on
     * @param \DateTimeImmutable $dueAt when the promised time to answer is over
     */
    public function __construct(
        #[ORM\Column(length: 20, unique: true)]
        public readonly string $number,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly FormVersion $formVersion,
        #[ORM\Column(type: 'json')]
        public readonly array $answers,
        #[ORM\Column(length: 200)]
        public readonly string $name,
        #[ORM\Column]
        public readonly int $toDecide,
        #[ORM\Column(length: 20)]
        public readonly string $channel,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $receivedAt,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $dueAt,
        #[ORM\Column(length: 64, nullable: true)]
        public readonly ?string $idempotencyKey,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Embedded(columnPrefix: false)]
        public Origin $origin = new Origin(),
        #[ORM\ManyToOne(targetEntity: self::class)]
        public readonly ?self $continues = null,
    ) {
        $this->form = $formVersion->form;
        $this->id = Ids::next();
    }

    /** Whoever wrote is owed an answer (again), however it was accepted. */
    public function promiseAgain(\DateTimeImmutable $due): void
    {
        $this->dueAt = $due;
        $this->answeredAt = null;
        $this->answeredBy = null;
        $this->isOwed = true;
    }

    /**
     * Its plan was carried out. What a rule accepts by itself is no answer yet: the promise was that a person would.
     *
     * @param string $through what accepted it where no person did, in words
     * @param bool $isConfirmed whether a time that they chose is theirs by it: that is the answer
     */
    public function accept(?Staff $by, \DateTimeImmutable $now, ?Client $client, ?Project $project, string $through = '', bool $isConfirmed = false): void
    {
        $this->decide(SubmissionState::Accepted, $by, $now);
        $this->acceptedThrough = mb_substr($through, 0, 120);
        if ((null !== $by || $isConfirmed) && null === $this->answeredAt && !$this->isOwed) {
            $this->answeredAt = $now;
            $this->answeredBy = $by;
        }
        $this->client = $client;
        $this->project = $project;
    }

    /**
     * @param Staff|null $by null where Telamon did it by itself
     * @param self|null $same the one that said the same
     */
    public function setAside(string $reason, string $note, \DateTimeImmutable $now, ?Staff $by = null, ?self $same = null): void
    {
        $this->decide(SubmissionState::SetAside, $by, $now);
        $this->asideReason = $reason;
        $this->asideNote = $note;
        $this->sameAs = $same;
        if (null !== $same) {
            $same->doubled = true;
        }
    }

    /** Among the arrivals again. */
    public function putBack(): void
    {
        $this->state = SubmissionState::Waiting;
        $this->asideReason = $this->asideNote = '';
        $this->sameAs = null;
        $this->decidedAt = null;
        $this->decidedBy = null;
    }

    private function decide(SubmissionState $state, ?Staff $by, \DateTimeImmutable $now): void
    {
        $this->state = $state;
        $this->decidedAt = $now;
        $this->decidedBy = $by;
        $this->remindAt = null;
    }

    public function assignTo(?Staff $to): void
    {
        $this->assignee = $to;
    }

    /** @param \DateTimeImmutable|null $at when it is looked at again; null for at once */
    public function putOff(?\DateTimeImmutable $at): void
    {
        $this->remindAt = $at?->setTimezone(new \DateTimeZone('UTC'));
    }

    /** A person has answered whoever wrote. */
    public function answer(Staff $by, \DateTimeImmutable $now): void
    {
        $this->answeredAt = $now;
        $this->answeredBy = $by;
    }

    /** @param \DateTimeImmutable $by until when the longer form should have come */
    public function waitForMore(\DateTimeImmutable $by): void
    {
        $this->continueBy = $by;
    }

    /** What was to follow is here. */
    public function hasMore(): void
    {
        $this->continueBy = null;
    }

    /**
     * What was worked out of it as it came.
     *
     * @param string $digest SHA-256 of the answers
     * @param array<string, mixed> $sent what stood in the form when it was sent out
     */
    public function keepWith(string $digest, array $sent, int $priority, string $sameness): void
    {
        $this->digest = $digest;
        $this->sent = $sent;
        $this->priority = $priority;
        $this->sameness = $sameness;
    }

    public function recordKind(): string
    {
        return 'submission';
    }

    public function recordLabel(): string
    {
        return "{$this->number} {$this->name}";
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return "/arrivals/$id";
    }

    public function recordContext(): array
    {
        return ['client' => $this->client?->id, 'project' => $this->project?->id];
    }
}

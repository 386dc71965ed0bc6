<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Business\StageEnd;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Database\Ids;
use Telamon\Record\Journaled;
use Telamon\Record\Tagged;
use Telamon\Record\Tags;
use Telamon\Staff\Staff;

/** One piece of work for a client. */
#[ORM\Entity]
#[ORM\Index(columns: ['opened_at', 'id'])]
#[ORM\Index(columns: ['closed_at', 'client_id'], name: 'project_open')]
#[ORM\Index(columns: ['service', 'client_id'], name: 'project_service')]
class Project implements Journaled, Tagged
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer')]
    public int $version = 1;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\ManyToOne]
    public ?Asset $asset = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 36, nullable: true)]
    public ?string $submissionId = null;

    /**
     * What it may cost, as the client wrote it.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $budget = '';

    /**
     * @var list<string>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $tags = [];

    /**
     * @var array<string, string> values of custom fields by their keys
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '{}'])]
    public array $custom = [];

    /**
     * @var array<string, string> what the client wishes for an appointment and for a quote, in their words
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '{}'])]
    public array $wishes = [];

    /**
     * Whether it is open, or closed as won or lost.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 4, enumType: StageEnd::class, options: ['default' => 'open'])]
    public StageEnd $outcome = StageEnd::Open;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 300, options: ['default' => ''])]
    public string $closeReason = '';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $closedAt = null;

    /**
     * Since when it stands at its stage.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $stageSince = null;

    /**
     * Where the work comes from.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 60, options: ['default' => ''])]
    public string $source = '';

    /**
     * Key of the service that it is for; empty for none.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 40, options: ['default' => ''])]
    public string $service = '';

    public function __construct(
        #[ORM\Column(length: 20, unique: true)]
        public readonly string $number,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 200)]
        public string $title,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Client $client,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Staff $lead,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 40)]
        public string $stage,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'date_immutable', nullable: true)]
        public ?\DateTimeImmutable $readyBy,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'text')]
        public string $notes,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $openedAt,
        ?string $id = null,
    ) {
        $this->id = $id ?? Ids::next();
        $this->stageSince = $openedAt;
    }

    /**
     * A stage that means won or lost closes it, one that is open opens it again.
     *
     * @param StageEnd $end what a project in that stage is
     */
    public function moveTo(string $stage, StageEnd $end, \DateTimeImmutable $now): void
    {
        if ($stage !== $this->stage) {
            $this->stageSince = $now;
        }
        $this->stage = mb_substr($stage, 0, 40);
        if ($end !== $this->outcome) {
            StageEnd::Open === $end ? $this->openAgain() : $this->close($end, $this->closeReason, $now);
        }
    }

    /**
     * As somebody writes it by hand.
     *
     * @param list<string> $tags
     */
    public function become(string $title, ?\DateTimeImmutable $readyBy, string $budget, string $notes, array $tags): void
    {
        $this->title = $title;
        $this->readyBy = $readyBy;
        $this->budget = $budget;
        $this->notes = $notes;
        $this->tags = $tags;
    }

    public function close(StageEnd $as, string $reason, \DateTimeImmutable $now): void
    {
        $this->outcome = $as;
        $this->closeReason = mb_substr($reason, 0, 300);
        $this->closedAt = $now;
    }

    public function openAgain(): void
    {
        $this->outcome = StageEnd::Open;
        $this->closeReason = '';
        $this->closedAt = null;
    }

    public function comesFrom(string $source): void
    {
        $this->source = $source;
    }

    /** @param string $service key of one that the business offers, or empty */
    public function serve(string $service): void
    {
        $this->service = $service;
    }

    /** @param array<string, string> $custom by key */
    public function keepCustom(array $custom): void
    {
        $this->custom = $custom;
    }

    /** What it is for and on, changed by hand. */
    public function belongTo(Client $client, ?Asset $asset): void
    {
        $this->client = $client;
        $this->asset = $asset;
    }

    public function leadBy(Staff $lead): void
    {
        $this->lead = $lead;
    }

    /** What it is done on, where that was not known. */
    public function isAbout(?Asset $asset): void
    {
        $this->asset ??= $asset;
    }

    /** @param string|null $submission id of the one that opened it */
    public function openedBy(?string $submission): void
    {
        $this->submissionId = $submission;
    }

    /** @param string $field notes (which grow), budget, or custom.… for an own one */
    public function write(string $field, string $value): void
    {
        match (true) {
            'notes' === $field => $this->notes = trim("{$this->notes}\n\n$value"),
            'budget' === $field => $this->budget = mb_substr($value, 0, 200),
            str_starts_with($field, 'custom.') => $this->custom = [substr($field, 7) => $value] + $this->custom,
            default => throw new \LogicException("a project has no field $field"),
        };
    }

    /** @param string $kind appointment or quote */
    public function wish(string $kind, string $text): void
    {
        $this->wishes = [$kind => $text] + $this->wishes;
    }

    public function tags(): array
    {
        return $this->tags;
    }

    public function retag(array $tags): void
    {
        $this->tags = $tags;
    }

    /** @param list<string> $tags those that are there stay */
    public function tag(array $tags): void
    {
        $this->tags = Tags::with($this->tags, $tags);
    }

    public function recordKind(): string
    {
        return 'project';
    }

    public function recordLabel(): string
    {
        return "{$this->number} {$this->title}";
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return "/projects/$id";
    }

    public function recordContext(): array
    {
        return ['client' => $this->client->id, 'project' => $this->id];
    }
}

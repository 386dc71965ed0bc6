<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Database\Ids;
use Telamon\Record\Journaled;
use Telamon\Staff\Staff;

/** One piece of work for a client. */
#[ORM\Entity]
#[ORM\Index(columns: ['opened_at', 'id'])]
class Project implements Journaled
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer')]
    public int $version = 1;

    #[ORM\ManyToOne]
    public ?Asset $asset = null;

    #[ORM\Column(length: 36, nullable: true)]
    public ?string $submissionId = null;

    /** What it may cost, as the client wrote it. */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $budget = '';

    /** @var list<string> */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $tags = [];

    /** @var array<string, string> values of custom fields by their keys */
    #[ORM\Column(type: 'json', options: ['default' => '{}'])]
    public array $custom = [];

    /** @var array<string, string> what the client wishes for an appointment and for a quote, in their words */
    #[ORM\Column(type: 'json', options: ['default' => '{}'])]
    public array $wishes = [];

    public function __construct(
        #[ORM\Column(length: 20, unique: true)]
        public readonly string $number,
        #[ORM\Column(length: 200)]
        public string $title,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Client $client,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Staff $lead,
        #[ORM\Column(length: 40)]
        public string $stage,
        #[ORM\Column(type: 'date_immutable', nullable: true)]
        public ?\DateTimeImmutable $readyBy,
        #[ORM\Column(type: 'text')]
        public string $notes,
        #[ORM\Column]
        public \DateTimeImmutable $openedAt,
    ) {
        $this->id = Ids::next();
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

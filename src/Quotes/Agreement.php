<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Clients\Client;
use Telamon\Database\Ids;
use Telamon\Projects\Project;
use Telamon\Record\StandsWithMail;
use Telamon\Record\TakenBack;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** A text that a client is asked to sign. It stays as it was sent. */
#[ORM\Entity]
#[WrittenWith(Permission::Quote)]
class Agreement implements StandsWithMail, TakenBack
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer')]
    public int $version = 1;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 10, enumType: AgreementState::class)]
    public AgreementState $state = AgreementState::Sent;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $openedAt = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $answeredAt = null;

    /** @phpstan-readonly-allow-private-mutation why it was declined */
    #[ORM\Column(length: 500, options: ['default' => ''])]
    public string $reason = '';

    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Client $client,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Project $project,
        #[ORM\Column(length: 200)]
        public readonly string $title,
        #[ORM\Column(type: 'text')]
        public readonly string $text,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $sentAt,
        ?string $id = null,
    ) {
        $this->id = $id ?? Ids::next();
    }

    public function beOpened(\DateTimeImmutable $now): void
    {
        $this->openedAt ??= $now;
    }

    public function becomes(AgreementState $state, \DateTimeImmutable $now, string $reason = ''): void
    {
        $this->state = $state;
        $this->answeredAt = $now;
        $this->reason = $reason;
    }

    public function recordKind(): string
    {
        return 'agreement';
    }

    public function recordLabel(): string
    {
        return "{$this->title}, {$this->client->name()}";
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return null === $project ? null : "/projects/$project";
    }

    public function recordContext(): array
    {
        return ['client' => $this->client->id, 'project' => $this->project->id];
    }

    public function staysBecause(): ?string
    {
        return AgreementState::Signed === $this->state ? 'it is signed' : null;
    }

    public function stop(): void
    {
        $this->state = AgreementState::Withdrawn;
    }

    public function goOn(): ?object
    {
        return null;
    }
}

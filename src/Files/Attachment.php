<?php

declare(strict_types=1);

namespace Telamon\Files;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Database\Ids;
use Telamon\Projects\Project;
use Telamon\Record\ForOffice;
use Telamon\Record\Stays;

/** A file where it belongs: with the submission that brought it, and with the records it was put with. */
#[ORM\Entity]
class Attachment implements Stays, ForOffice
{
    /** In the place of a question: the submission itself. */
    public const SHEET = '@sheet';

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\ManyToOne]
    public ?Client $client = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\ManyToOne]
    public ?Project $project = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\ManyToOne]
    public ?Asset $asset = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 500, options: ['default' => ''])]
    public string $note = '';

    /**
     * Whether only those see it who see everything: not field staff, though it belongs to work of theirs.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => false])]
    public bool $forOffice = false;

    /**
     * No longer shown; the bytes stay, as it may be brought back.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;

    /**
     * Whether it is a paper that was signed: nobody removes it, and taking back what made it leaves it.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => false])]
    public bool $signed = false;

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(referencedColumnName: 'sha256', nullable: false)]
        public readonly StoredFile $file,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 200)]
        public string $name,
        #[ORM\ManyToOne]
        public readonly ?FileSource $submission,
        #[ORM\Column(length: 40)]
        public readonly string $questionKey,
        #[ORM\Column]
        public readonly int $position,
        ?string $id = null,
    ) {
        $this->id = $id ?? Ids::next();
    }

    /** @return array{id: string, name: string, note: string, forOffice: bool, signed: bool, size: int, type: string, isImage: bool} as FileRef in the contract */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'note' => $this->note,
            'forOffice' => $this->forOffice,
            'signed' => $this->signed,
            'size' => $this->file->size,
            'type' => $this->file->type,
            'isImage' => str_starts_with($this->file->type, 'image/'),
        ];
    }

    public function describe(string $name, string $note, bool $forOffice): void
    {
        $this->name = $name;
        $this->note = $note;
        $this->forOffice = $forOffice;
    }

    public function isForOffice(): bool
    {
        return $this->forOffice;
    }

    public function beSigned(): void
    {
        $this->signed = true;
    }

    public function staysBecause(): ?string
    {
        return $this->signed ? 'it is signed' : null;
    }

    public function beRemoved(\DateTimeImmutable $now): void
    {
        $this->removedAt = $now;
    }

    /** Puts it with records. */
    public function putWith(?Client $client, ?Project $project, ?Asset $asset): void
    {
        $this->client = $client;
        $this->project = $project;
        $this->asset = $asset;
    }

    public function recordKind(): string
    {
        return 'file';
    }

    public function recordLabel(): string
    {
        return $this->name;
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return "/api/files/$id";
    }

    public function recordContext(): array
    {
        return ['client' => $this->client?->id, 'project' => $this->project?->id];
    }
}

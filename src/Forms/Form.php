<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\Journaled;

/** A form, found by the ending of its address. */
#[ORM\Entity]
class Form implements Journaled
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** The published version; none while the form is a draft. */
    #[ORM\ManyToOne]
    public ?FormVersion $published = null;

    /** The first and the last day on which it takes submissions, at the business. */
    #[ORM\Column(type: 'date_immutable', nullable: true)]
    public ?\DateTimeImmutable $opensOn = null;

    #[ORM\Column(type: 'date_immutable', nullable: true)]
    public ?\DateTimeImmutable $closesOn = null;

    /** How many submissions it takes in all. */
    #[ORM\Column(name: 'most', nullable: true)]
    public ?int $limit = null;

    /** What is shown instead of the form while it is closed. */
    #[ORM\Column(length: 1000, options: ['default' => ''])]
    public string $closedText = '';

    /** @var list<string> origins of other sites that may show it in a frame, “https://example.com” */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $sites = [];

    public function __construct(
        #[ORM\Column(length: 60, unique: true)]
        public string $slug,
        #[ORM\Column(length: 200)]
        public string $title,
    ) {
        $this->id = Ids::next();
    }

    public function recordKind(): string
    {
        return 'form';
    }

    public function recordLabel(): string
    {
        return $this->title;
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return "/forms/$id";
    }

    public function recordContext(): array
    {
        return ['client' => null, 'project' => null];
    }
}

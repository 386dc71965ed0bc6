<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\FeltOutside;
use Telamon\Record\Journaled;
use Telamon\Record\KnownAs;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** A form, found by the ending of its address. */
#[ORM\Entity]
#[KnownAs('form', 'slug', 'id')]
#[WrittenWith(Permission::Design)]
class Form implements Journaled
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * The published version; none while the form is a draft.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[FeltOutside]
    #[ORM\ManyToOne]
    public ?FormVersion $published = null;

    /**
     * The first and the last day on which it takes submissions, at the business.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'date_immutable', nullable: true)]
    public ?\DateTimeImmutable $opensOn = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(type: 'date_immutable', nullable: true)]
    public ?\DateTimeImmutable $closesOn = null;

    /**
     * How many submissions it takes in all.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(name: 'most', nullable: true)]
    public ?int $limit = null;

    /**
     * What is shown instead of the form while it is closed.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 1000, options: ['default' => ''])]
    public string $closedText = '';

    /**
     * @var list<string> origins of other sites that may show it in a frame, “https://example.com”
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $sites = [];

    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 60, unique: true)]
        public string $slug,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 200)]
        public string $title,
    ) {
        $this->id = Ids::next();
    }

    /** @param FormVersion|null $version null where it is withdrawn */
    public function publish(?FormVersion $version): void
    {
        $this->published = $version;
    }

    public function standAt(string $slug): void
    {
        $this->slug = $slug;
    }

    /** @param list<string> $sites that may show it */
    public function showOn(array $sites): void
    {
        $this->sites = $sites;
    }

    /** When it takes answers, and how many; null for no bound. */
    public function takeAnswers(?\DateTimeImmutable $from, ?\DateTimeImmutable $until, ?int $limit, string $closedText): void
    {
        $this->opensOn = $from;
        $this->closesOn = $until;
        $this->limit = $limit;
        $this->closedText = $closedText;
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

<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Core\Booking\TypeReader;
use Telamon\Core\Booking\TypeSettings;
use Telamon\Database\Ids;
use Telamon\Record\FeltOutside;
use Telamon\Record\KnownAs;
use Telamon\Record\Names;
use Telamon\Record\NamesOthers;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;

/** A type of appointment: what may be booked. */
#[ORM\Entity]
#[KnownAs('visit-type', 'id', 'slug')]
class VisitType implements NamesOthers, PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer', options: ['default' => 1])]
    public int $version = 1;

    /** @var array<string, mixed> */
    #[Names('template', 'service', 'staff', 'resource')]
    #[ORM\Column(type: 'json')]
    private array $settings;

    private ?TypeSettings $read = null;

    /** @var array<string, mixed>|null what was read: the columns may be read again under it */
    private ?array $readOf = null;

    /** @param string $slug ending of its address */
    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 60, unique: true)]
        public string $slug,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $name,
        TypeSettings $settings,
        /** @phpstan-readonly-allow-private-mutation whether it is offered */
        #[FeltOutside]
        #[ORM\Column]
        public bool $live,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public int $position,
    ) {
        $this->id = Ids::next();
        $this->settings = $settings->toArray();
    }

    public function settings(): TypeSettings
    {
        if (null === $this->read || $this->readOf !== $this->settings) {
            $this->read = (new TypeReader())->read($this->settings);
            $this->readOf = $this->settings;
        }

        return $this->read;
    }

    public function become(string $slug, string $name, TypeSettings $settings, bool $live): void
    {
        $this->slug = $slug;
        $this->name = $name;
        $this->settings = $settings->toArray();
        $this->read = null;
        $this->live = $live;
    }

    /** Whoever takes over takes the visits too. */
    public function handOver(string $from, string $to): void
    {
        $settings = $this->settings()->toArray();
        $people = array_map(
            static fn (array $role): array => array_values(array_unique(array_map(static fn (string $id): string => $id === $from ? $to : $id, $role))),
            $this->settings()->people,
        );
        if ($people !== $this->settings()->people) {
            $this->settings = ['people' => $people] + $settings;
            $this->read = null;
        }
    }

    public function isInUse(): bool
    {
        return $this->live;
    }

    public function called(): string
    {
        return "the kind of visit {$this->name}";
    }

    public static function partKind(): string
    {
        return 'kind of visit';
    }

    public function recordLabel(): string
    {
        return $this->name;
    }
}

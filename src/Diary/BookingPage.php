<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\FeltOutside;
use Telamon\Record\KnownAs;
use Telamon\Record\Names;
use Telamon\Record\NamesOthers;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;

/** A public page on which appointments of some types are booked. */
#[ORM\Entity]
#[KnownAs('booking-page', 'slug')]
class BookingPage implements NamesOthers, PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer', options: ['default' => 1])]
    public int $version = 1;

    /**
     * @var list<string> origins of the sites that may show it
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $sites = [];

    /**
     * @param string $slug ending of its address
     * @param list<string> $types ids, in order
     * @param string $form ending of the form that is filled in before the times are shown
     */
    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 60, unique: true)]
        public string $slug,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 120)]
        public string $title,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 500)]
        public string $intro,
        /** @phpstan-readonly-allow-private-mutation */
        #[Names('visit-type')]
        #[ORM\Column(type: 'json')]
        public array $types,
        /** @phpstan-readonly-allow-private-mutation */
        #[Names('form')]
        #[ORM\Column(length: 60)]
        public string $form,
        /** @phpstan-readonly-allow-private-mutation */
        #[FeltOutside]
        #[ORM\Column]
        public bool $live,
    ) {
        $this->id = Ids::next();
    }

    /**
     * @param list<string> $types ids
     * @param list<string> $sites
     */
    public function become(string $slug, string $title, string $intro, array $types, string $form, bool $live, array $sites): void
    {
        $this->slug = $slug;
        $this->title = $title;
        $this->intro = $intro;
        $this->types = $types;
        $this->form = $form;
        $this->live = $live;
        $this->sites = $sites;
    }

    public function isInUse(): bool
    {
        return $this->live;
    }

    public function called(): string
    {
        return "the booking page {$this->title}";
    }

    public static function partKind(): string
    {
        return 'booking page';
    }

    public function recordLabel(): string
    {
        return $this->title;
    }
}

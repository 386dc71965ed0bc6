<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Core\Quotes\Priced;
use Telamon\Core\Quotes\Vat;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** One thing on the price list. It is retired, never deleted: quotes name it. */
#[ORM\Entity]
#[WrittenWith(Permission::KeepPrices)]
class PriceItem implements PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer')]
    public int $version = 1;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 200)]
    public string $name = '';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(type: 'text')]
    public string $text = '';

    /** @phpstan-readonly-allow-private-mutation UN/ECE Recommendation 20 */
    #[ORM\Column(length: 3)]
    public string $unit = 'C62';

    /** @phpstan-readonly-allow-private-mutation decimal as text; null where it is priced each time */
    #[ORM\Column(length: 24, nullable: true)]
    public ?string $price = null;

    /** @phpstan-readonly-allow-private-mutation UNCL 5305 */
    #[ORM\Column(length: 2)]
    public string $category = 'S';

    /** @phpstan-readonly-allow-private-mutation percent */
    #[ORM\Column(length: 12)]
    public string $rate = '0';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 100)]
    public string $groupName = '';

    /** @phpstan-readonly-allow-private-mutation minutes of work */
    #[ORM\Column]
    public int $effort = 0;

    /**
     * Prices from a quantity on.
     *
     * @var list<array{from: string, price: string}>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json')]
    public array $steps = [];

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(type: 'date_immutable', nullable: true)]
    public ?\DateTimeImmutable $validFrom = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(type: 'date_immutable', nullable: true)]
    public ?\DateTimeImmutable $validTo = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column]
    public bool $retired = false;

    public function __construct(
        #[ORM\Column(length: 40, unique: true)]
        public readonly string $code,
        Priced $priced,
    ) {
        $this->id = Ids::next();
        $this->become($priced);
    }

    public function become(Priced $priced): void
    {
        $this->name = $priced->name;
        $this->text = $priced->text;
        $this->unit = $priced->unit;
        $this->price = $priced->price;
        $this->category = $priced->vat->category;
        $this->rate = $priced->vat->rate;
        $this->groupName = $priced->group;
        $this->steps = $priced->steps;
    }

    /** @param int $effort minutes */
    public function hold(int $effort, ?\DateTimeImmutable $from, ?\DateTimeImmutable $to, bool $retired): void
    {
        $this->effort = $effort;
        $this->validFrom = $from;
        $this->validTo = $to;
        $this->retired = $retired;
    }

    /** Whether it is offered on a day, ISO 8601. */
    public function isOfferedOn(string $day): bool
    {
        return !$this->retired && (null === $this->validFrom || $this->validFrom->format('Y-m-d') <= $day) && (null === $this->validTo || $this->validTo->format('Y-m-d') >= $day);
    }

    public function priced(): Priced
    {
        return new Priced($this->code, $this->name, $this->text, $this->unit, $this->price, new Vat($this->category, $this->rate), $this->groupName, $this->steps);
    }

    public static function partKind(): string
    {
        return 'price';
    }

    public function recordLabel(): string
    {
        return "{$this->code} {$this->name}";
    }
}

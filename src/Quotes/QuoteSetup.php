<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Core\Quotes\PricingRow;
use Telamon\Core\Quotes\Vat;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** How the business quotes: prices with or without VAT, what is usual, the table by which answers become lines. */
#[ORM\Entity]
#[WrittenWith(Permission::KeepPrices)]
class QuoteSetup implements PartOf
{
    use Setting;

    public const ID = 'quotes';

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer')]
    public int $version = 1;

    /** @phpstan-readonly-allow-private-mutation whether prices are with VAT */
    #[ORM\Column]
    public bool $gross = false;

    /** @phpstan-readonly-allow-private-mutation UNCL 5305 */
    #[ORM\Column(length: 2)]
    public string $category = 'S';

    /** @phpstan-readonly-allow-private-mutation percent */
    #[ORM\Column(length: 12)]
    public string $rate = '23';

    /** @phpstan-readonly-allow-private-mutation days for which a quote is good */
    #[ORM\Column]
    public int $validDays = 14;

    /** @phpstan-readonly-allow-private-mutation days before the last one on which the client is reminded; 0 for never */
    #[ORM\Column]
    public int $nudgeDays = 3;

    /** @phpstan-readonly-allow-private-mutation percent; empty for none */
    #[ORM\Column(length: 12)]
    public string $deposit = '';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(type: 'text')]
    public string $terms = '';

    /** @phpstan-readonly-allow-private-mutation stage that a project comes to with a new quote; empty for none */
    #[ORM\Column(length: 60)]
    public string $draftStage = '';

    /** @phpstan-readonly-allow-private-mutation stage that it comes to with a yes; empty for none */
    #[ORM\Column(length: 60)]
    public string $yesStage = '';

    /**
     * @var list<array{service: string, question: string, answer: string, code: string, count: string, quantity: string, optional: bool}>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', name: '`rows`')]
    public array $rows = [];

    public function __construct()
    {
        $this->id = self::ID;
    }

    public function usual(bool $gross, Vat $vat, int $validDays, int $nudgeDays, string $deposit, string $terms): void
    {
        $this->gross = $gross;
        $this->category = $vat->category;
        $this->rate = $vat->rate;
        $this->validDays = $validDays;
        $this->nudgeDays = $nudgeDays;
        $this->deposit = $deposit;
        $this->terms = $terms;
    }

    public function moves(string $draftStage, string $yesStage): void
    {
        $this->draftStage = $draftStage;
        $this->yesStage = $yesStage;
    }

    /** @param list<array{service: string, question: string, answer: string, code: string, count: string, quantity: string, optional: bool}> $rows */
    public function price(array $rows): void
    {
        $this->rows = $rows;
    }

    public function vat(): Vat
    {
        return new Vat($this->category, $this->rate);
    }

    /** @return list<PricingRow> */
    public function table(): array
    {
        return array_map(
            static fn (array $row): PricingRow => new PricingRow(
                $row['service'],
                $row['question'],
                $row['answer'],
                $row['code'],
                $row['count'],
                $row['quantity'],
                $row['optional'],
            ),
            $this->rows,
        );
    }

    public static function partKind(): string
    {
        return 'way of quoting';
    }

    public function recordLabel(): string
    {
        return 'how we quote';
    }
}

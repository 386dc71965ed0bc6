<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Core\Planning\OfferedService;
use Telamon\Core\Quotes\Units;
use Telamon\Core\Quotes\Vat;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** The price list with how the business quotes, shown; one price, kept. */
final readonly class PriceList
{
    public function __construct(
        private EntityManagerInterface $em,
        private Connection $db,
        private Changes $changes,
        private Setups $setups,
        private Profile $business,
        private PriceReader $reader = new PriceReader(),
    ) {
    }

    /** @return array<string, mixed> as PriceList in the contract */
    public function show(): array
    {
        $setup = $this->setups->setup();
        $used = $this->db->fetchAllKeyValue(
            "SELECT json_extract(l.value, '$.code') AS code, COUNT(DISTINCT q.id) FROM quote q, json_each(q.content, '$.lines') l WHERE json_extract(l.value, '$.code') <> '' GROUP BY code",
        );
        $today = $this->setups->today();

        return [
            'currency' => $this->business->business()->currency,
            'items' => array_map(static fn (PriceItem $item): array => [
                'id' => $item->id, 'version' => $item->version, 'code' => $item->code, 'name' => $item->name, 'text' => $item->text,
                'unit' => $item->unit, 'price' => $item->price, 'vat' => ['category' => $item->category, 'rate' => $item->rate],
                'group' => $item->groupName, 'effort' => $item->effort, 'steps' => $item->steps,
                'validFrom' => $item->validFrom?->format('Y-m-d'), 'validTo' => $item->validTo
                    ?->format('Y-m-d'), 'retired' => $item->retired, 'offered' => $item
                    ->isOfferedOn($today), 'used' => is_numeric($used[$item->code] ?? null) ? (int) $used[$item->code] : 0,
            ], $this->em->getRepository(PriceItem::class)->findBy([], ['groupName' => 'ASC', 'code' => 'ASC'])),
            'setup' => [
                'version' => $setup->version,
                'gross' => $setup->gross,
                'vat' => ['category' => $setup->category, 'rate' => $setup->rate],
                'validDays' => $setup->validDays,
                'nudgeDays' => $setup->nudgeDays,
                'deposit' => $setup->deposit,
                'terms' => $setup->terms,
                'draftStage' => $setup->draftStage,
                'yesStage' => $setup->yesStage,
                'rows' => $setup->rows,
            ],
            'units' => array_map(static fn (string $code): array => ['code' => $code, 'one' => Units::ALL[$code][0], 'several' => Units::ALL[$code][1]], array_keys(Units::ALL)),
            'categories' => array_map(static fn (string $code): array => ['code' => $code, 'words' => Vat::CATEGORIES[$code]], array_keys(Vat::CATEGORIES)),
            'stages' => $this->business->stages(),
            'services' => array_map(static fn (OfferedService $service): array => ['key' => $service->key, 'name' => $service->name], array_values($this->business->services())),
        ];
    }

    /** @throws Refusal */
    public function keep(?PriceItem $item, Edit $edit, Staff $by): void
    {
        $priced = $this->reader->read($edit->any('item'), $item?->code);
        $effort = $edit->whole('effort', 0, 100_000) ?? 0;
        [$from, $to] = [$edit->day('validFrom'), $edit->day('validTo')];
        if (null !== $from && null !== $to && $to < $from) {
            throw new InvalidInput('validTo', 'It ends before it begins.');
        }
        $words = null === $item ? "added {$priced->code} to the price list" : "changed {$item->code} on the price list";
        $this->changes->carryOut(Act::of(ChangeKind::Settings, $words, $by), function () use ($item, $edit, $priced, $effort, $from, $to): void {
            if (null === $item) {
                $this->refuseTwice($priced->code);
                $item = new PriceItem($priced->code, $priced);
                $this->em->persist($item);
            } else {
                $this->em->refresh($item);
                $this->em->lock($item, LockMode::OPTIMISTIC, $edit->version());
                $item->become($priced);
            }
            $item->hold($effort, $from, $to, true === $edit->yes('retired'));
        });
    }

    private function refuseTwice(string $code): void
    {
        $there = $this->em->getRepository(PriceItem::class)->findOneBy(['code' => $code]);
        if (null !== $there) {
            throw new InvalidInput('item.code', "“{$there->name}” has that code already".($there->retired ? ', and is retired' : '').'.');
        }
    }
}

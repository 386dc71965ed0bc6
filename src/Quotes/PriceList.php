<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\Quotes\ContentReader;
use Telamon\Core\Quotes\InvalidContent;
use Telamon\Core\Quotes\Priced;
use Telamon\Core\Quotes\Units;
use Telamon\Core\Quotes\Vat;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** The price list and how the business quotes: shown, changed, read from a file. */
final readonly class PriceList
{
    private const MOST = 2000;
    private const HEADS = ['code', 'name', 'text', 'unit', 'price', 'category', 'rate', 'group', 'effort'];

    public function __construct(private EntityManagerInterface $em, private Connection $db, private Changes $changes, private Setups $setups, private Profile $business, private ClockInterface $clock)
    {
    }

    /** @return array<string, mixed> as PriceList in the contract */
    public function show(): array
    {
        $setup = $this->setups->setup();
        $used = $this->db->fetchAllKeyValue("SELECT json_extract(l.value, '$.code') AS code, COUNT(DISTINCT q.id) FROM quote q, json_each(q.content, '$.lines') l WHERE json_extract(l.value, '$.code') <> '' GROUP BY code");
        $today = $this->setups->today();

        return [
            'currency' => $this->business->business()->currency,
            'items' => array_map(static fn (PriceItem $item): array => [
                'id' => $item->id, 'version' => $item->version, 'code' => $item->code, 'name' => $item->name, 'text' => $item->text, 'unit' => $item->unit, 'price' => $item->price, 'vat' => ['category' => $item->category, 'rate' => $item->rate], 'group' => $item->groupName, 'effort' => $item->effort, 'steps' => $item->steps,
                'validFrom' => $item->validFrom?->format('Y-m-d'), 'validTo' => $item->validTo?->format('Y-m-d'), 'retired' => $item->retired, 'offered' => $item->isOfferedOn($today), 'used' => is_numeric($used[$item->code] ?? null) ? (int) $used[$item->code] : 0,
            ], $this->em->getRepository(PriceItem::class)->findBy([], ['groupName' => 'ASC', 'code' => 'ASC'])),
            'setup' => ['version' => $setup->version, 'gross' => $setup->gross, 'vat' => ['category' => $setup->category, 'rate' => $setup->rate], 'validDays' => $setup->validDays, 'nudgeDays' => $setup->nudgeDays, 'deposit' => $setup->deposit, 'terms' => $setup->terms, 'draftStage' => $setup->draftStage, 'yesStage' => $setup->yesStage, 'rows' => $setup->rows],
            'units' => array_map(static fn (string $code): array => ['code' => $code, 'one' => Units::ALL[$code][0], 'several' => Units::ALL[$code][1]], array_keys(Units::ALL)),
            'categories' => array_map(static fn (string $code): array => ['code' => $code, 'words' => Vat::CATEGORIES[$code]], array_keys(Vat::CATEGORIES)),
            'stages' => $this->business->stages(),
            'services' => array_map(static fn (\Telamon\Core\Planning\OfferedService $service): array => ['key' => $service->key, 'name' => $service->name], array_values($this->business->services())),
        ];
    }

    /** @throws Refusal */
    public function keep(?PriceItem $item, Edit $edit, Staff $by): void
    {
        $priced = $this->read($edit->any('item'), $item?->code);
        $effort = $edit->whole('effort', 0, 100_000) ?? 0;
        [$from, $to] = [$edit->day('validFrom'), $edit->day('validTo')];
        if (null !== $from && null !== $to && $to < $from) {
            throw new InvalidInput('validTo', 'It ends before it begins.');
        }
        $this->carryOut(null === $item ? "added {$priced->code} to the price list" : "changed {$item->code} on the price list", $by, function () use ($item, $edit, $priced, $effort, $from, $to): void {
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

    /**
     * Reads a CSV file with the heads of the export; a code that is there is changed.
     *
     * @return array{added: int, changed: int, wrong: list<string>} what would come of it, or came of it
     *
     * @throws Refusal where it is no such file, or, where it is not tried only, where a line is wrong
     */
    public function import(string $csv, bool $dry, Staff $by): array
    {
        $lines = $this->rows($csv);
        $wrong = [];
        $read = [];
        foreach ($lines as $i => $row) {
            try {
                $priced = $this->read(['vat' => ['category' => $row['category'] ?: 'S', 'rate' => $row['rate']]] + $row, null);
                if (isset($read[$priced->code])) {
                    throw new InvalidInput('code', "The code {$priced->code} stands twice.");
                }
                $read[$priced->code] = [$priced, max(0, (int) $row['effort'])];
            } catch (InvalidInput $error) {
                $wrong[] = 'Line '.($i + 2).': '.($error->violations()[0]['message'] ?? $error->getMessage());
            }
        }
        $there = [];
        foreach ($this->em->getRepository(PriceItem::class)->findAll() as $item) {
            $there[$item->code] = $item;
        }
        $told = ['added' => \count(array_diff_key($read, $there)), 'changed' => \count(array_intersect_key($read, $there)), 'wrong' => $wrong];
        if ($dry) {
            return $told;
        }
        if ([] !== $wrong) {
            throw new InvalidInput('csv', $wrong[0].' Nothing was read in.');
        }
        $this->carryOut('read prices from a file', $by, function () use ($read, $there): void {
            foreach ($read as $code => [$priced, $effort]) {
                $item = $there[$code] ?? new PriceItem($priced->code, $priced);
                $item->become($priced);
                $item->hold($effort, $item->validFrom, $item->validTo, $item->retired);
                $this->em->persist($item);
            }
        });

        return $told;
    }

    /** @return iterable<list<string>> the heads first */
    public function export(): iterable
    {
        yield self::HEADS;
        foreach ($this->em->getRepository(PriceItem::class)->findBy([], ['code' => 'ASC']) as $item) {
            yield [$item->code, $item->name, $item->text, $item->unit, $item->price ?? '', $item->category, $item->rate, $item->groupName, (string) $item->effort];
        }
    }

    /** @throws Refusal */
    public function setUp(Edit $edit, Staff $by): void
    {
        $vat = $this->vat($edit->any('vat'), 'vat');
        $deposit = $this->figure($edit->text('deposit', 12) ?? '', 'deposit', 100) ?? '';
        $rows = $this->table($edit->any('rows'));
        foreach (['draftStage', 'yesStage'] as $field) {
            $stage = $edit->text($field, 60) ?? '';
            if ('' !== $stage && !\in_array($stage, $this->business->stages(), true)) {
                throw new InvalidInput($field, 'Choose a stage that is there.');
            }
        }
        $this->carryOut('changed how we quote', $by, function () use ($edit, $vat, $deposit, $rows): void {
            $setup = $this->em->find(QuoteSetup::class, QuoteSetup::ID);
            if (null === $setup) {
                $setup = new QuoteSetup();
                $this->em->persist($setup);
            } else {
                $this->em->lock($setup, LockMode::OPTIMISTIC, $edit->version());
            }
            $setup->usual($edit->yes('gross') ?? $setup->gross, $vat, $edit->whole('validDays', 1, 365) ?? $setup->validDays, $edit->whole('nudgeDays', 0, 60) ?? $setup->nudgeDays, $deposit, $edit->text('terms', 10_000) ?? $setup->terms);
            $setup->moves($edit->text('draftStage', 60) ?? '', $edit->text('yesStage', 60) ?? '');
            $setup->price($rows);
        });
    }

    /**
     * @return list<array{service: string, question: string, answer: string, code: string, count: string, quantity: string, optional: bool}>
     *
     * @throws Refusal
     */
    private function table(mixed $data): array
    {
        $rows = [];
        $codes = array_map(static fn (PriceItem $item): string => $item->code, $this->em->getRepository(PriceItem::class)->findAll());
        foreach (\is_array($data) ? array_values($data) : [] as $i => $row) {
            $row = \is_array($row) ? $row : [];
            $text = static fn (string $key): string => \is_string($row[$key] ?? null) ? mb_substr(trim($row[$key]), 0, 200) : '';
            $read = ['service' => $text('service'), 'question' => $text('question'), 'answer' => $text('answer'), 'code' => $text('code'), 'count' => $text('count'), 'quantity' => '' === $text('quantity') ? '1' : ($this->figure($text('quantity'), "rows.$i.quantity") ?? '1'), 'optional' => true === ($row['optional'] ?? false)];
            if ('' === $read['service'] && '' === $read['question']) {
                throw new InvalidInput("rows.$i.service", 'Choose a service, or name the question that it waits for.');
            }
            if ('' !== $read['code'] && !\in_array($read['code'], $codes, true)) {
                throw new InvalidInput("rows.$i.code", "“{$read['code']}” is not on the price list.");
            }
            $rows[] = $read;
        }

        return \count($rows) <= 200 ? $rows : throw new InvalidInput('rows', 'At most 200 rows fit.');
    }

    /** @throws Refusal */
    private function read(mixed $data, ?string $code): Priced
    {
        $data = \is_array($data) ? $data : [];
        $text = static fn (string $key, int $most): string => \is_string($data[$key] ?? null) ? mb_substr(trim($data[$key]), 0, $most) : '';
        $code ??= $text('code', 40);
        if (1 !== preg_match('/^[A-Za-z0-9][A-Za-z0-9._-]{0,39}$/D', $code)) {
            throw new InvalidInput('item.code', 'A code has letters, figures, dots and hyphens.');
        }
        if ('' === $text('name', 200)) {
            throw new InvalidInput('item.name', 'Say what it is.');
        }
        $unit = '' === $text('unit', 3) ? 'C62' : $text('unit', 3);
        if (!isset(Units::ALL[$unit])) {
            throw new InvalidInput('item.unit', "“{$unit}” is no unit that is known (UN/ECE Recommendation 20).");
        }
        $steps = [];
        foreach (\is_array($data['steps'] ?? null) ? array_values($data['steps']) : [] as $i => $step) {
            $step = \is_array($step) ? $step : [];
            $steps[] = ['from' => $this->figure($step['from'] ?? '', "item.steps.$i.from") ?? throw new InvalidInput("item.steps.$i.from", 'Say from how many on.'), 'price' => $this->figure($step['price'] ?? '', "item.steps.$i.price") ?? throw new InvalidInput("item.steps.$i.price", 'Write a price.')];
        }

        return new Priced($code, $text('name', 200), $text('text', 2000), $unit, $this->figure($data['price'] ?? '', 'item.price'), $this->vat($data['vat'] ?? null, 'item.vat'), $text('group', 100), $steps);
    }

    private function vat(mixed $data, string $at): Vat
    {
        try {
            return ContentReader::vat($data, $at);
        } catch (InvalidContent $error) {
            throw new InvalidInput($at, $error->getMessage());
        }
    }

    private function figure(mixed $value, string $at, ?int $most = null): ?string
    {
        try {
            return ContentReader::figure($value, $at, $most);
        } catch (InvalidContent $error) {
            throw new InvalidInput($at, $error->getMessage());
        }
    }

    private function refuseTwice(string $code): void
    {
        $there = $this->em->getRepository(PriceItem::class)->findOneBy(['code' => $code]);
        if (null !== $there) {
            throw new InvalidInput('item.code', "“{$there->name}” has that code already".($there->retired ? ', and is retired' : '').'.');
        }
    }

    /** @return list<array<'code'|'name'|'text'|'unit'|'price'|'category'|'rate'|'group'|'effort', string>> */
    private function rows(string $csv): array
    {
        $csv = str_starts_with($csv, "\u{FEFF}") ? substr($csv, 3) : $csv;
        $stream = fopen('php://memory', 'w+') ?: throw new \RuntimeException('there is no memory');
        fwrite($stream, $csv);
        rewind($stream);
        $first = (string) strtok($csv, "\n");
        $by = substr_count($first, ';') > substr_count($first, ',') ? ';' : ',';
        $heads = array_map(static fn (?string $head): string => strtolower(trim((string) $head)), fgetcsv($stream, null, $by, '"', '') ?: []);
        if (!\in_array('code', $heads, true) || !\in_array('name', $heads, true) || !\in_array('rate', $heads, true)) {
            throw new InvalidInput('csv', 'The first line names the columns: '.implode(', ', self::HEADS).'. Code, name and rate have to be there.');
        }
        $rows = [];
        while (false !== ($cells = fgetcsv($stream, null, $by, '"', ''))) {
            if ([null] === $cells) {
                continue;
            }
            $row = [];
            foreach (self::HEADS as $head) {
                $at = array_search($head, $heads, true);
                $row[$head] = false === $at ? '' : trim($cells[$at] ?? '');
            }
            $rows[] = $row;
        }

        return \count($rows) <= self::MOST ? $rows : throw new InvalidInput('csv', 'That is more than '.self::MOST.' lines.');
    }

    /** @param \Closure(): void $do */
    private function carryOut(string $words, Staff $by, \Closure $do): void
    {
        $this->changes->carryOut(new Change(ChangeKind::Settings, mb_substr($words, 0, 300), $by, $this->clock->now()), $do);
    }
}

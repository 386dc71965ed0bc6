<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Quotes\Priced;
use Telamon\Http\CsvText;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** The price list as a CSV file, out and in: what goes out comes in again, whole. */
final readonly class PriceFile
{
    private const MOST = 2000;
    private const HEADS = ['code', 'name', 'text', 'unit', 'price', 'category', 'rate', 'group', 'effort', 'steps', 'from', 'to', 'retired'];

    public function __construct(private EntityManagerInterface $em, private Changes $changes, private PriceReader $reader = new PriceReader())
    {
    }

    /** @return iterable<list<string>> the heads first */
    public function export(): iterable
    {
        yield self::HEADS;
        foreach ($this->em->getRepository(PriceItem::class)->findBy([], ['code' => 'ASC']) as $item) {
            yield array_values(self::cells($item));
        }
    }

    /**
     * Reads a file with the heads of the export; a code that is there is changed, in what the file has columns for.
     *
     * @return array{added: int, changed: int, wrong: list<string>} what would come of it, or came of it
     *
     * @throws Refusal where it is no such file, or, where it is not tried only, where a line is wrong
     */
    public function import(string $csv, bool $dry, Staff $by): array
    {
        $there = [];
        foreach ($this->em->getRepository(PriceItem::class)->findAll() as $item) {
            $there[$item->code] = $item;
        }
        $wrong = [];
        $read = [];
        foreach ($this->rows($csv) as $i => $row) {
            try {
                $old = $there[$row['code'] ?? ''] ?? null;
                $line = $this->line($row + (null === $old ? array_fill_keys(self::HEADS, '') : self::cells($old)));
                if (isset($read[$line[0]->code])) {
                    throw new InvalidInput('code', "The code {$line[0]->code} stands twice.");
                }
                $read[$line[0]->code] = $line;
            } catch (InvalidInput $error) {
                $wrong[] = 'Line '.($i + 2).': '.($error->violations()[0]['message'] ?? $error->getMessage());
            }
        }
        $told = ['added' => \count(array_diff_key($read, $there)), 'changed' => \count(array_intersect_key($read, $there)), 'wrong' => $wrong];
        if ($dry) {
            return $told;
        }
        if ([] !== $wrong) {
            throw new InvalidInput('csv', $wrong[0].' Nothing was read in.');
        }
        $this->changes->carryOut(Act::of(ChangeKind::Settings, 'read prices from a file', $by), function () use ($read, $there): void {
            foreach ($read as $code => [$priced, $effort, $from, $to, $retired]) {
                $item = $there[$code] ?? new PriceItem($priced->code, $priced);
                $item->become($priced);
                $item->hold($effort, $from, $to, $retired);
                $this->em->persist($item);
            }
        });

        return $told;
    }

    /** @return array<string, string> by head */
    private static function cells(PriceItem $item): array
    {
        return [
            'code' => $item->code, 'name' => $item->name, 'text' => $item->text, 'unit' => $item->unit, 'price' => $item->price ?? '',
            'category' => $item->category, 'rate' => $item->rate, 'group' => $item->groupName, 'effort' => (string) $item->effort,
            'steps' => implode(
                '; ',
                array_map(static fn (array $step): string => "{$step['from']}: {$step['price']}", $item->steps),
            ), 'from' => $item->validFrom?->format('Y-m-d') ?? '', 'to' => $item->validTo?->format('Y-m-d') ?? '', 'retired' => $item->retired
                ? 'yes'
                : '',
        ];
    }

    /**
     * @param array<string, string> $row by head
     *
     * @return array{Priced, int, \DateTimeImmutable|null, \DateTimeImmutable|null, bool} with minutes of work, the first and last day, and whether it is retired
     *
     * @throws Refusal
     */
    private function line(array $row): array
    {
        if (1 !== preg_match('/^\d{0,5}$/D', $row['effort'])) {
            throw new InvalidInput('effort', 'Minutes are a whole number.');
        }
        $steps = [];
        foreach ('' === $row['steps'] ? [] : explode(';', $row['steps']) as $step) {
            if (1 !== preg_match('/^\s*([\d.,]+)\s*:\s*([\d.,]+)\s*$/D', $step, $part)) {
                throw new InvalidInput('steps', 'Write steps as “20: 9.50; 50: 8”.');
            }
            $steps[] = ['from' => $part[1], 'price' => $part[2]];
        }
        $priced = $this->reader->read(['vat' => ['category' => $row['category'] ?: 'S', 'rate' => $row['rate']], 'steps' => $steps] + $row, null);
        [$from, $to] = [self::day($row['from']), self::day($row['to'])];
        if (null !== $from && null !== $to && $to < $from) {
            throw new InvalidInput('to', 'It ends before it begins.');
        }

        return [$priced, (int) $row['effort'], $from, $to, \in_array(strtolower($row['retired']), ['yes', '1', 'true'], true)];
    }

    private static function day(string $text): ?\DateTimeImmutable
    {
        if ('' === $text) {
            return null;
        }
        $day = \DateTimeImmutable::createFromFormat('!Y-m-d', $text, new \DateTimeZone('UTC'));

        return false !== $day && $day->format('Y-m-d') === $text ? $day : throw new InvalidInput('day', 'Write a day as 2027-01-31.');
    }

    /**
     * @return list<array<string, string>> by head; only heads that the file has
     *
     * @throws Refusal
     */
    private function rows(string $csv): array
    {
        $rows = CsvText::rows($csv, self::HEADS, ['code', 'name', 'rate']) ?? throw new InvalidInput(
            'csv',
            'The first line names the columns: '.implode(', ', self::HEADS).'. Code, name and rate have to be there.',
        );

        return \count($rows) <= self::MOST ? $rows : throw new InvalidInput('csv', 'That is more than '.self::MOST.' lines.');
    }
}

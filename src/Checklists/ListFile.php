<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\ChecklistTemplate;
use Telamon\Http\CsvText;
use Telamon\Staff\Staff;

/** Checklists as files: JSON by public/checklist.schema.json, and CSV with one line an item. People are named by their mail addresses. */
final readonly class ListFile
{
    private const HEADS = [
        'checklist',
        'key',
        'purpose',
        'joins_after',
        'item',
        'name',
        'group',
        'words',
        'doer',
        'among',
        'takes',
        'effort',
        'due_from',
        'due_amount',
        'due_unit',
        'due_item',
        'waits_for',
        'if',
        'done_by',
        'approval',
        'shown',
        'steps',
    ];
    private const PARTED = ' | ';

    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @param list<ChecklistTemplate> $kept
     *
     * @return array{checklists: list<array<string, mixed>>} as public/checklist.schema.json has it
     */
    public function json(array $kept): array
    {
        $emails = $this->emails();

        return ['checklists' => array_map(static function (ChecklistTemplate $one) use ($emails): array {
            $content = $one->toChecklist()->toArray();
            $content['items'] = array_map(
                static fn (array $item): array => ['among' => array_map(static fn (string $id): string => $emails[$id] ?? $id, self::texts($item['among'] ?? []))] + $item,
                $content['items'],
            );

            return $content;
        }, $kept)];
    }

    /**
     * @param list<ChecklistTemplate> $kept
     *
     * @return iterable<list<string>> the heads first
     */
    public function csv(array $kept): iterable
    {
        yield self::HEADS;
        $emails = $this->emails();
        foreach ($kept as $one) {
            $list = $one->toChecklist();
            foreach ($list->items as $item) {
                yield [
                    $list->name, $list->key, $list->purpose, $list->joinsAfter, $item->key, $item->name, $item->group, $item->words,
                    $item->doer->kind->value, implode(
                        self::PARTED,
                        array_map(static fn (string $id): string => $emails[$id] ?? $id, $item->doer->among),
                    ), (string) $item->takes, (string) $item->effort,
                    $item->due->from->value ?? '', (string) ($item->due->amount ?? ''), $item->due->unit->value ?? '', $item->due->item ?? '',
                    implode(self::PARTED, $item->waitsFor), null === $item->if ? '' : json_encode($item->if, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE),
                    $item->doneBy->value ?? '', $item->approval, $item->shown ? 'yes' : '', implode(self::PARTED, $item->steps),
                ];
            }
        }
    }

    /**
     * @return array{list<array{at: string, list: array<array-key, mixed>}>, list<string>} what the file holds, with where each stands, and what is wrong with the file
     */
    public function read(string $text): array
    {
        $text = str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text;
        if (!\in_array(ltrim($text)[0] ?? '', ['{', '['], true)) {
            return $this->readCsv($text);
        }
        try {
            $data = json_decode($text, true, 32, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            return [[], ["This is no JSON: {$error->getMessage()}."]];
        }
        $lists = \is_array($data) && array_is_list($data) ? $data : (\is_array($data) ? $data['checklists'] ?? [$data] : null);
        if (!\is_array($lists)) {
            return [[], ['The file holds no checklists.']];
        }
        $read = [];
        foreach (array_values($lists) as $i => $list) {
            $read[] = ['at' => 'Checklist '.($i + 1), 'list' => \is_array($list) ? $this->withIds($list) : []];
        }

        return [$read, []];
    }

    /** @return array{list<array{at: string, list: array<array-key, mixed>}>, list<string>} */
    private function readCsv(string $text): array
    {
        $rows = CsvText::rows($text, self::HEADS, ['checklist', 'item', 'name', 'doer']);
        if (null === $rows) {
            return [[], ['The first line names the columns: '.implode(', ', self::HEADS).'. Checklist, item, name and doer have to be there.']];
        }
        $lists = [];
        $wrong = [];
        foreach ($rows as $i => $row) {
            $row += array_fill_keys(self::HEADS, '');
            $name = $row['checklist'];
            $lists[$name] ??= [
                'at' => 'Line '.($i + 2),
                'list' => ['key' => $row['key'], 'name' => $name, 'purpose' => $row['purpose'], 'joinsAfter' => $row['joins_after'], 'items' => [], 'lines' => []],
            ];
            foreach (['takes', 'effort', 'due_amount'] as $number) {
                if (1 !== preg_match('/^-?\d{0,7}$/D', $row[$number])) {
                    $wrong[] = 'Line '.($i + 2).": $number is a whole number.";
                }
            }
            $if = '' === $row['if'] ? null : json_decode($row['if'], true);
            if ('' !== $row['if'] && !\is_array($if)) {
                $wrong[] = 'Line '.($i + 2).': “if” is a condition in JSON, or empty.';
            }
            $lists[$name]['list']['lines'][] = $i + 2;
            $lists[$name]['list']['items'][] = array_filter([
                'key' => $row['item'], 'name' => $row['name'], 'group' => $row['group'], 'words' => $row['words'], 'doer' => $row['doer'], 'among' => self::parts($row['among']),
                'takes' => '' === $row['takes'] ? 1 : (int) $row['takes'], 'effort' => (int) $row['effort'],
                'due' => '' === $row['due_from']
                    ? null
                    : ['from' => $row['due_from'], 'amount' => (int) $row['due_amount'], 'unit' => '' === $row['due_unit'] ? 'days' : $row['due_unit'], 'item' => $row['due_item']],
                'waitsFor' => self::parts($row['waits_for']), 'if' => $if, 'doneBy' => '' === $row['done_by'] ? null : $row['done_by'], 'approval' => $row['approval'],
                'shown' => \in_array(strtolower($row['shown']), ['yes', '1', 'true'], true), 'steps' => self::parts($row['steps']),
            ], static fn (mixed $value): bool => null !== $value);
        }

        return [array_map(fn (array $one): array => ['at' => $one['at'], 'list' => $this->withIds($one['list'])], array_values($lists)), $wrong];
    }

    /**
     * @param array<array-key, mixed> $list
     *
     * @return array<array-key, mixed> with ids in the place of mail addresses
     */
    private function withIds(array $list): array
    {
        $ids = array_flip($this->emails());
        $list['items'] = array_map(
            static fn (mixed $item): mixed => \is_array($item) && \is_array($item['among'] ?? null) ? ['among' => array_map(
                static fn (string $one): string => $ids[$one] ?? $one,
                self::texts($item['among']),
            )] + $item : $item,
            \is_array($list['items'] ?? null) ? array_values($list['items']) : [],
        );

        return $list;
    }

    /** @return array<string, string> by id */
    private function emails(): array
    {
        $emails = [];
        foreach ($this->em->getRepository(Staff::class)->findAll() as $one) {
            $emails[$one->id] = $one->email;
        }

        return $emails;
    }

    /** @return list<string> */
    private static function texts(mixed $texts): array
    {
        return \is_array($texts) ? array_values(array_filter($texts, \is_string(...))) : [];
    }

    /** @return list<string> */
    private static function parts(string $cell): array
    {
        return array_values(array_filter(array_map(trim(...), explode('|', $cell)), static fn (string $part): bool => '' !== $part));
    }
}

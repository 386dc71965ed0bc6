<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

use Telamon\Core\Condition\ConditionReader;
use Telamon\Core\Condition\InvalidCondition;
use Telamon\Core\Text\TemplateRenderer;
use Telamon\Core\Text\UnreadableTemplate;

/** Reads one item of a checklist. */
final readonly class ItemReader
{
    private const MOST_DAYS = 2000;
    private const MOST_MINUTES = 100_000;

    public function __construct(private TemplateRenderer $renderer = new TemplateRenderer())
    {
    }

    /**
     * @param string $at where it stands, for what is said of it
     *
     * @throws InvalidChecklist
     */
    public function read(mixed $row, string $at): ChecklistItem
    {
        if (!\is_array($row)) {
            throw new InvalidChecklist($at, 'An item is an object with key, name and doer.');
        }
        $key = $row['key'] ?? null;
        if (!\is_string($key) || 1 !== preg_match('/^[a-z0-9][a-z0-9_-]{0,59}$/D', $key)) {
            throw new InvalidChecklist("$at.key", 'A key has small letters, figures, - and _, 60 at most.');
        }
        $approval = self::text($row, 'approval', 20, $at);
        if (1 !== preg_match('/^[a-z-]{0,20}$/D', $approval)) {
            throw new InvalidChecklist("$at.approval", 'A role has a key of small letters.');
        }
        $shown = $row['shown'] ?? false;
        $doneBy = $row['doneBy'] ?? null;

        return new ChecklistItem(
            $key, $this->name($row, $at), self::doer($row, $at),
            self::whole($row, 'takes', 1, self::MOST_DAYS, "$at.takes", 'Write whole working days, from 0 to 2000.'),
            self::due($row['due'] ?? null, "$at.due"),
            self::texts($row, 'waitsFor', 50, 121, $at),
            self::text($row, 'group', 60, $at),
            self::whole($row, 'effort', 0, self::MOST_MINUTES, "$at.effort", 'Write whole minutes, from 0 to 100000.'),
            self::text($row, 'words', 2000, $at),
            self::condition($row['if'] ?? null, "$at.if"),
            null === $doneBy || '' === $doneBy ? null : (\is_string($doneBy) ? DoneBy::tryFrom($doneBy) : null) ?? throw new InvalidChecklist("$at.doneBy", 'Choose what it is done by, or nothing.'),
            $approval,
            \is_bool($shown) ? $shown : throw new InvalidChecklist("$at.shown", 'Write true or false.'),
            self::texts($row, 'steps', 30, 200, $at),
        );
    }

    /** @param array<array-key, mixed> $row */
    private function name(array $row, string $at): string
    {
        $name = self::text($row, 'name', 200, $at);
        if ('' === $name) {
            throw new InvalidChecklist("$at.name", 'Say what is to be done.');
        }
        if (!str_contains($name, '{{')) {
            return $name;
        }
        try {
            $this->renderer->fieldsOf($name);
        } catch (UnreadableTemplate) {
            throw new InvalidChecklist("$at.name", 'A {{…}} is opened and not closed.');
        }

        return $name;
    }

    /** @param array<array-key, mixed> $row */
    private static function doer(array $row, string $at): Doer
    {
        $kind = DoerKind::tryFrom(\is_string($row['doer'] ?? null) ? $row['doer'] : '') ?? throw new InvalidChecklist(
            "$at.doer",
            'Choose who does it: the coordinator, the project’s lead, somebody by name, by turns, or whoever has fewest open tasks.',
        );
        $among = self::texts($row, 'among', 20, 36, $at);
        if (\count($among) < $kind->people()) {
            throw new InvalidChecklist("$at.among", 1 === $kind->people() ? 'Choose who does it.' : 'Choose two people at least.');
        }

        return new Doer($kind, 0 === $kind->people() ? [] : ($kind->people() > 1 ? $among : \array_slice($among, 0, 1)));
    }

    private static function due(mixed $due, string $at): ?Due
    {
        if (null === $due) {
            return null;
        }
        if (!\is_array($due)) {
            throw new InvalidChecklist($at, 'A due day is an object with from, amount and unit.');
        }
        $from = DueFrom::tryFrom(\is_string($due['from'] ?? null) ? $due['from'] : '') ?? throw new InvalidChecklist("$at.from", 'Choose what it is counted from.');
        $unit = DueUnit::tryFrom(\is_string($due['unit'] ?? null) ? $due['unit'] : 'days') ?? throw new InvalidChecklist(
            "$at.unit",
            'Count in working days, calendar days or hours.',
        );
        $item = self::text($due, 'item', 121, $at);
        if (DueFrom::Item === $from && '' === $item) {
            throw new InvalidChecklist("$at.item", 'Choose the item whose completion it is counted from.');
        }
        if (DueUnit::Hours === $unit && !\in_array($from, [DueFrom::Accepted, DueFrom::Appointment], true)) {
            throw new InvalidChecklist("$at.unit", 'Hours are counted from acceptance or from an appointment: the others are days.');
        }

        return new Due(
            $from,
            self::whole($due, 'amount', 0, self::MOST_DAYS, "$at.amount", 'Write a whole number, from -2000 to 2000.', -self::MOST_DAYS),
            $unit,
            DueFrom::Item === $from ? $item : '',
        );
    }

    /** @return array<array-key, mixed>|null */
    private static function condition(mixed $if, string $at): ?array
    {
        if (null === $if || [] === $if) {
            return null;
        }
        try {
            ConditionReader::read(\is_array($if) ? $if : throw new InvalidCondition('a condition is an object'));
        } catch (InvalidCondition $error) {
            throw new InvalidChecklist($at, $error->getMessage());
        }

        return $if;
    }

    /** @param array<array-key, mixed> $row */
    private static function text(array $row, string $name, int $most, string $at): string
    {
        $text = $row[$name] ?? '';

        return \is_string($text) && mb_strlen($text) <= $most ? trim($text) : throw new InvalidChecklist("$at.$name", "Write text, of $most characters at most.");
    }

    /**
     * @param array<array-key, mixed> $row
     *
     * @return list<string> without doubles and empty ones
     */
    private static function texts(array $row, string $name, int $most, int $long, string $at): array
    {
        $texts = $row[$name] ?? [];
        if (!\is_array($texts) || \count($texts) > $most) {
            throw new InvalidChecklist("$at.$name", "Send a list of $most texts at most.");
        }
        $found = [];
        foreach ($texts as $text) {
            if (!\is_string($text) || mb_strlen($text) > $long) {
                throw new InvalidChecklist("$at.$name", "Each is text, of $long characters at most.");
            }
            if ('' !== trim($text)) {
                $found[trim($text)] = trim($text);
            }
        }

        return array_values($found);
    }

    /** @param array<array-key, mixed> $row */
    private static function whole(array $row, string $name, int $usual, int $most, string $at, string $message, int $least = 0): int
    {
        $number = $row[$name] ?? $usual;

        return \is_int($number) && $number >= $least && $number <= $most ? $number : throw new InvalidChecklist($at, $message);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Importing;

use Telamon\Core\Text\Fold;
use Telamon\Core\Text\JaroWinkler;

/** Says which field a column of a file is likely to hold, from its head and what stands below. */
final class ColumnGuess
{
    private const ALIKE = 0.92;

    /**
     * @param list<string> $heads
     * @param list<list<string>> $rows the first few
     *
     * @return array<int, ClientField> by column; columns that nothing is known of are left out, and no field comes twice but phone and email
     */
    public static function fields(array $heads, array $rows = []): array
    {
        $scores = [];
        foreach ($heads as $column => $head) {
            $folded = Fold::text($head);
            foreach (ClientField::cases() as $field) {
                $score = self::score($folded, $field);
                if ($score > 0) {
                    $scores[] = [$score, $column, $field];
                }
            }
        }
        usort($scores, static fn (array $a, array $b): int => [$b[0], $a[1]] <=> [$a[0], $b[1]]);
        $fields = [];
        $taken = [];
        foreach ($scores as [, $column, $field]) {
            $twice = \in_array($field, [ClientField::Phone, ClientField::Email], true);
            if (!isset($fields[$column]) && (!isset($taken[$field->value]) || $twice)) {
                $fields[$column] = $field;
                $taken[$field->value] = true;
            }
        }
        foreach (array_keys($heads) as $column) {
            if (!isset($fields[$column]) && self::looksLikeMail($rows, $column)) {
                $fields[$column] = ClientField::Email;
            }
        }
        ksort($fields);

        return $fields;
    }

    private static function score(string $head, ClientField $field): float
    {
        if ($head === str_replace('_', ' ', $field->value)) {
            return 2.0;
        }
        if (\in_array($head, $field->usualHeads(), true)) {
            return 1.5;
        }
        $best = 0.0;
        foreach ([str_replace('_', ' ', $field->value), ...$field->usualHeads()] as $usual) {
            $best = max($best, \strlen($usual) > 4 ? JaroWinkler::similarity($head, $usual) : 0.0);
        }

        return $best >= self::ALIKE ? $best : 0.0;
    }

    /** @param list<list<string>> $rows */
    private static function looksLikeMail(array $rows, int $column): bool
    {
        $cells = array_filter(array_map(static fn (array $row): string => trim($row[$column] ?? ''), $rows), static fn (string $cell): bool => '' !== $cell);

        return [] !== $cells && [] === array_filter($cells, static fn (string $cell): bool => 1 !== preg_match('/^[^@\s]+@[^@\s]+\.[^@\s]+$/', $cell));
    }
}

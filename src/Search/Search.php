<?php

declare(strict_types=1);

namespace Telamon\Search;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Telamon\Core\Text\Fold;
use Telamon\Core\Text\JaroWinkler;

/** Finds records by parts of words, whatever the accents; where that finds little, by words that are nearly those. */
final readonly class Search
{
    private const MOST = 24;
    /** Looked at before the best are chosen. */
    private const POOL = 100;
    private const WIDE_POOL = 300;
    private const RAREST = 4;
    private const ENOUGH = 3;
    private const ALIKE = 0.86;

    public function __construct(private Connection $db)
    {
    }

    /**
     * @param list<string> $kinds among those of SearchRows, in the order shown
     *
     * @param list<string>|null $paths where it may be shown; null for everywhere
     *
     * @return list<array{kind: string, id: string, label: string, second: string, path: string}> the best first, kinds together
     */
    public function find(string $text, array $kinds, ?array $paths = null): array
    {
        // “P-0001” is one word: its two halves stand side by side.
        $words = array_values(array_filter(array_map(Fold::text(...), preg_split('/\s+/u', trim($text)) ?: []), static fn (string $word): bool => '' !== $word));
        if ([] === $words || [] === $kinds) {
            return [];
        }
        $found = $this->containing($words, $kinds, $paths);
        if (\count($found) < self::ENOUGH) {
            $found += $this->alike($words, $kinds, $paths);
        }
        uasort($found, static fn (array $a, array $b): int => [$b['score'], $a['label']] <=> [$a['score'], $b['label']]);
        $found = \array_slice($found, 0, self::MOST, true);
        $order = array_flip($kinds);
        uasort($found, static fn (array $a, array $b): int => [$order[$a['kind']], $b['score'], $a['label']] <=> [$order[$b['kind']], $a['score'], $b['label']]);

        return array_values(array_map(
            static fn (array $row): array => ['kind' => $row['kind'], 'id' => $row['id'], 'label' => $row['label'], 'second' => $row['second'], 'path' => $row['path']],
            $found,
        ));
    }

    /**
     * Those that hold some words beside one another, as they are written.
     *
     * @return list<string> ids of records of a kind, at most as many as are looked at
     */
    public function holding(string $phrase, string $kind): array
    {
        $folded = Fold::text($phrase);
        $ids = \strlen($folded) < 3 ? [] : $this->db->fetchFirstColumn(
            "SELECT e.record_id FROM search_text t JOIN search_entry e ON e.id = t.rowid WHERE search_text MATCH ? AND e.kind = ? AND (' ' || e.folded || ' ') LIKE ? LIMIT ".self::POOL,
            ["\"$folded\"", $kind, "% $folded %"],
        );

        return array_values(array_filter($ids, is_string(...)));
    }

    /**
     * @param non-empty-list<string> $words
     * @param list<string> $kinds
     * @param list<string>|null $paths
     *
     * @return array<int, array{kind: string, id: string, label: string, second: string, path: string, score: float}>
     */
    private function containing(array $words, array $kinds, ?array $paths): array
    {
        $long = array_values(array_filter($words, static fn (string $word): bool => \strlen($word) > 2));
        $short = array_values(array_diff($words, $long));
        [$where, $parameters, $types] = self::within($kinds, $paths);
        foreach ($short as $word) {
            // Too short for a trigram: at the beginning of a word.
            $where .= " AND (' ' || e.folded) LIKE ?";
            $parameters[] = "% $word%";
            $types[] = \Doctrine\DBAL\ParameterType::STRING;
        }
        $sql = [] === $long
            ? "SELECT e.* FROM search_entry e WHERE $where LIMIT ".self::POOL
            : "SELECT e.* FROM search_text t JOIN search_entry e ON e.id = t.rowid WHERE $where AND search_text MATCH ? LIMIT ".self::POOL;
        if ([] !== $long) {
            $parameters[] = implode(' AND ', array_map(static fn (string $word): string => "\"$word\"", $long));
            $types[] = \Doctrine\DBAL\ParameterType::STRING;
        }
        $found = [];
        foreach ($this->db->fetchAllAssociative($sql, $parameters, $types) as $row) {
            $found += self::row($row, static function (array $title, array $all) use ($words): float {
                $score = 0.0;
                foreach ($words as $word) {
                    $score += match (true) {
                        \in_array($word, $title, true) => 4,
                        [] !== array_filter($title, static fn (string $one): bool => str_starts_with($one, $word)) => 3,
                        [] !== array_filter($all, static fn (string $one): bool => str_starts_with($one, $word)) => 2,
                        default => 1,
                    };
                }

                return $score;
            });
        }

        return $found;
    }

    /**
     * Those that share trigrams, as far as each word is nearly a word of theirs.
     *
     * @param non-empty-list<string> $words
     * @param list<string> $kinds
     * @param list<string>|null $paths
     *
     * @return array<int, array{kind: string, id: string, label: string, second: string, path: string, score: float}>
     */
    private function alike(array $words, array $kinds, ?array $paths): array
    {
        $pairs = $this->rarePairs($words);
        if ('' === $pairs) {
            return [];
        }
        [$where, $parameters, $types] = self::within($kinds, $paths);
        $found = [];
        foreach ($this->db->fetchAllAssociative(
            "SELECT e.* FROM search_text t JOIN search_entry e ON e.id = t.rowid WHERE $where AND search_text MATCH ? LIMIT ".self::WIDE_POOL,
            [...$parameters, $pairs],
            [...$types, \Doctrine\DBAL\ParameterType::STRING],
        ) as $row) {
            $found += self::row($row, static function (array $title, array $all) use ($words): float {
                $score = 0.0;
                foreach ($words as $word) {
                    // Of a number, nearly is another number.
                    $best = 1 === preg_match('/\d/', $word)
                        ? (str_contains(' '.implode(' ', $all), " $word") ? 1.0 : 0.0)
                        : max([0.0, ...array_map(static fn (string $one): float => JaroWinkler::similarity($word, $one), $all)]);
                    if ($best < self::ALIKE) {
                        return 0.0;
                    }
                    $score += $best;
                }

                return $score;
            });
        }

        return $found;
    }

    /**
     * @param list<string> $kinds
     * @param list<string>|null $paths
     *
     * @return array{string, list<mixed>, list<ArrayParameterType|\Doctrine\DBAL\ParameterType>} a condition, its parameters and their types
     */
    private static function within(array $kinds, ?array $paths): array
    {
        return null === $paths
            ? ['e.kind IN (?)', [$kinds], [ArrayParameterType::STRING]]
            : ['e.kind IN (?) AND e.path IN (?)', [$kinds, $paths], [ArrayParameterType::STRING, ArrayParameterType::STRING]];
    }

    /**
     * Any two of the rarest trigrams of each word: whoever has both may be meant, and few have.
     *
     * @param non-empty-list<string> $words
     */
    private function rarePairs(array $words): string
    {
        $pairs = [];
        foreach ($words as $word) {
            $trigrams = [];
            for ($i = 0; $i + 3 <= \strlen($word); ++$i) {
                $trigrams[] = substr($word, $i, 3);
            }
            $counts = [] === $trigrams
                ? []
                : $this->db->fetchAllKeyValue('SELECT term, doc FROM search_count WHERE term IN (?)', [array_values(array_unique($trigrams))], [ArrayParameterType::STRING]);
            asort($counts);
            $rare = array_map(strval(...), array_keys(\array_slice($counts, 0, self::RAREST, true)));
            foreach ($rare as $i => $one) {
                foreach (\array_slice($rare, $i + 1) as $other) {
                    $pairs[] = "(\"$one\" AND \"$other\")";
                }
            }
        }

        return implode(' OR ', $pairs);
    }

    /**
     * @param array<string, mixed> $row
     * @param \Closure(list<string>, list<string>): float $score of the words of the title and of all; 0 leaves it out
     *
     * @return array<int, array{kind: string, id: string, label: string, second: string, path: string, score: float}>
     */
    private static function row(array $row, \Closure $score): array
    {
        $text = static fn (string $name): string => \is_scalar($row[$name] ?? null) ? (string) $row[$name] : '';
        $title = Fold::text($text('title'));
        $is = $score([...explode(' ', $title), $title], explode(' ', $text('folded')));

        return $is <= 0
            ? []
            : [(int) $text('id') => [
                'kind' => $text('kind'),
                'id' => $text('record_id'),
                'label' => $text('title'),
                'second' => $text('second'),
                'path' => $text('path'),
                'score' => $is,
            ]];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Search;

use Telamon\Core\Text\Fold;

/** Narrows a list to the records that hold all words of a text, by what is searched. */
final readonly class Narrowing
{
    private const MOST_WORDS = 6;

    /**
     * @param string|null $gather a SELECT of the ids of all that fit; null where every word is too short for that
     * @param string $test whether one fits: a condition
     * @param array<string, string> $parameters of both
     */
    private function __construct(public ?string $gather, public string $test, public array $parameters)
    {
    }

    /**
     * @param string $kind of record
     * @param string $id the column with its id, where the list is asked for
     * @param string $name what the parameters begin with
     *
     * @return self|null null where there is no text
     */
    public static function of(string $text, string $kind, string $id, string $name): ?self
    {
        // “P-0001” is one word: its two halves stand side by side.
        $words = array_values(array_filter(array_map(Fold::text(...), preg_split('/[\s,]+/u', mb_scrub($text)) ?: []), static fn (string $word): bool => '' !== $word));
        $words = \array_slice(array_unique($words), 0, self::MOST_WORDS);
        if ([] === $words) {
            // Signs alone stand in nothing that is searched.
            return '' === trim($text) ? null : new self(null, '0 = 1', []);
        }
        $parameters = ["{$name}_kind" => $kind];
        $like = [];
        foreach ($words as $i => $word) {
            // Shorter than a trigram: at the beginning of a word.
            $parameters["{$name}_$i"] = \strlen($word) > 2 ? "%$word%" : "% $word%";
            $like[] = "(' ' || e.folded) LIKE :{$name}_$i";
        }
        $test = "EXISTS (SELECT 1 FROM search_entry e WHERE e.record_id = $id AND e.kind = :{$name}_kind AND ".implode(' AND ', $like).')';
        $long = array_filter($words, static fn (string $word): bool => \strlen($word) > 2);
        if ([] === $long) {
            return new self(null, $test, $parameters);
        }
        $parameters["{$name}_match"] = implode(' AND ', array_map(static fn (string $word): string => "\"$word\"", $long));

        return new self(
            "SELECT e.record_id FROM search_text t JOIN search_entry e ON e.id = t.rowid WHERE search_text MATCH :{$name}_match AND e.kind = :{$name}_kind AND ".implode(' AND ', $like),
            $test,
            $parameters,
        );
    }
}

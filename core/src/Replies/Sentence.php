<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

use Telamon\Core\Text\Fold;

/** One sentence of a reply, folded, with its parts between commas. */
final readonly class Sentence
{
    /** @param list<string> $parts folded, between commas and dashes */
    private function __construct(public string $text, public array $parts, public bool $asks)
    {
    }

    /** @return list<self> */
    public static function all(string $said, Phrases $phrases): array
    {
        // An address holds points and is one word.
        $said = (string) preg_replace('/[^\s<>()]+@[^\s<>()]+/u', 'my address', $said);
        $plain = str_replace(['’', '‘', '`', '👍', '👎'], ["'", "'", "'", ' yes. ', ' no. '], mb_strtolower($said));
        // "10.30", "20. März" and "Q-0227" are no ends of sentences.
        $plain = (string) preg_replace('/(?<=\d)\.(?= ?\d| ?\p{L})/u', ' ', $plain);
        preg_match_all('/[^.!?;\n…]+[.!?;\n…]*/u', $plain, $found);
        $sentences = [];
        foreach ($found[0] as $one) {
            $parts = array_values(array_filter(
                array_map(static fn (string $part): string => self::fold($part, $phrases), preg_split('/,|:| [-–—]+ |\(|\)/u', $one) ?: []),
                static fn (string $part): bool => '' !== $part,
            ));
            if ([] !== $parts) {
                $sentences[] = new self(implode(' ', $parts), $parts, str_contains($one, '?'));
            }
        }

        return $sentences;
    }

    private static function fold(string $part, Phrases $phrases): string
    {
        foreach ($phrases->short as $form => $long) {
            $part = (string) preg_replace("/$form/u", $long, $part);
        }

        return Fold::text(str_replace("'", ' ', $part));
    }
}

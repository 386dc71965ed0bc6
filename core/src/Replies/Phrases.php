<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/**
 * The words of one language. All patterns are of folded text: small Latin letters and figures, one blank between
 * words, written-out short forms ("do not" for "don't"). Each is a regular expression between word borders.
 */
final readonly class Phrases
{
    /**
     * @param list<string> $common words that tell the language
     * @param array<string, string> $short short forms by pattern, what they stand for
     * @param list<string> $polite falls away before a part is read by itself
     * @param array<string, list<string>> $sure by meaning: says it wherever it stands
     * @param array<string, list<string>> $fair by meaning: says it, but a person had better look
     * @param array<string, list<string>> $alone by meaning: says it where nothing else stands in the part
     * @param list<string> $not turns a yes round
     * @param list<string> $but holds back what was said before
     * @param list<string> $if makes what was said depend on something
     * @param list<string> $asks begins a question, also without its mark
     */
    public function __construct(
        public string $language,
        public array $common,
        public array $short,
        public array $polite,
        public array $sure,
        public array $fair,
        public array $alone,
        public array $not,
        public array $but,
        public array $if,
        public array $asks,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/**
 * Turns a text with merge fields (Mustache: {{field}}, {{#field}}…{{/field}}, {{^field}}…{{/field}}) into a document
 * that says the same: blank lines part paragraphs, sections are conditions. A field that may be empty was empty before
 * too, so it is "or nothing"; {{field|words}} gives other words.
 */
final class FromMustache
{
    /** What every message has, so that nothing needs to stand for it. */
    private const ALWAYS = ['business', 'signature'];

    private const TAG = '/\{\{([#^\/]?) *([a-z][a-z0-9_.]*) *(?:\|([^{}]*))?\}\}/';

    /** @var list<array<string, mixed>> */
    private array $blocks = [];

    /** @var list<array<string, mixed>> */
    private array $line = [];

    /** @var list<array<string, mixed>> */
    private array $open = [];

    private function __construct()
    {
    }

    public static function document(string $text): MessageDocument
    {
        // A section's mark by itself on a line is no line: so says the specification of Mustache ("standalone").
        $text = (string) preg_replace('/^[ \t]*(\{\{[#^\/][^{}]*\}\})[ \t]*\n/m', '$1', $text);
        $made = new self();
        $at = 0;
        preg_match_all(self::TAG, $text, $tags, \PREG_SET_ORDER | \PREG_OFFSET_CAPTURE);
        foreach ($tags as $tag) {
            $made->text(substr($text, $at, $tag[0][1] - $at));
            $made->tag($tag[1][0], $tag[2][0], $tag[3][0] ?? '');
            $at = $tag[0][1] + \strlen($tag[0][0]);
        }
        $made->text(substr($text, $at));
        $made->close();

        return new MessageDocument($made->blocks);
    }

    private function text(string $text): void
    {
        foreach (self::lines($text) as $piece) {
            if ("\n\n" === $piece) {
                $this->close();
            } elseif ("\n" !== $piece) {
                $this->line[] = ['type' => 'text', 'text' => $piece] + self::marks($this->open);
            } elseif ([] !== $this->line) {
                $this->line[] = ['type' => 'hardBreak'] + self::marks($this->open);
            }
        }
    }

    private function tag(string $kind, string $field, string $or): void
    {
        match ($kind) {
            '#', '^' => $this->open[] = ['type' => 'only', 'attrs' => ['field' => $field, 'empty' => '^' === $kind]],
            '/' => array_pop($this->open),
            default => $this->line[] = [
                'type' => 'field',
                'attrs' => ['field' => $field, 'or' => '' === $or && \in_array($field, self::ALWAYS, true) ? null : $or],
            ] + self::marks($this->open),
        };
    }

    private function close(): void
    {
        while ([] !== $this->line && 'hardBreak' === $this->line[\count($this->line) - 1]['type']) {
            array_pop($this->line);
        }
        if ([] !== $this->line) {
            $this->blocks[] = ['type' => 'paragraph', 'content' => $this->line];
        }
        $this->line = [];
    }

    /** A line with fields, all of which may be empty as they could before; conditions are gone, their words stay. */
    public static function line(string $text): string
    {
        return (string) preg_replace(['/\{\{[#^\/][^{}]*\}\}/', '/\{\{ *(?!business *\}|signature *\})([a-z][a-z0-9_.]*) *\}\}/'], ['', '{{$1|}}'], $text);
    }

    /** @return list<string> texts, and line breaks by themselves: "\n" and "\n\n" */
    private static function lines(string $text): array
    {
        $pieces = preg_split('/(\n{2,}|\n)/', $text, -1, \PREG_SPLIT_DELIM_CAPTURE | \PREG_SPLIT_NO_EMPTY) ?: [];

        return array_map(static fn (string $piece): string => 1 === preg_match('/^\n{2,}$/', $piece) ? "\n\n" : $piece, $pieces);
    }

    /**
     * @param list<array<string, mixed>> $open
     *
     * @return array{marks?: list<array<string, mixed>>}
     */
    private static function marks(array $open): array
    {
        return [] === $open ? [] : ['marks' => $open];
    }
}

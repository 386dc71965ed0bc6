<?php

declare(strict_types=1);

namespace Telamon\Core\Text;

use Mustache_Engine;

/** Fills merge fields into the text of a message (Mustache, an open specification, without escaping: it is plain text). */
final class TemplateRenderer
{
    private readonly Mustache_Engine $engine;

    public function __construct()
    {
        $this->engine = new Mustache_Engine(['delimiters' => '{{ }}', 'escape' => static fn (mixed $value): string => \is_scalar($value) ? (string) $value : '']);
    }

    /**
     * @param array<string, string> $fields by the name used in the template
     *
     * @throws UnreadableTemplate when a part of it is opened and not closed, or the like
     */
    public function body(string $template, array $fields): string
    {
        return trim($this->render($template, $fields));
    }

    /**
     * One line, whatever the values hold: a line break in a name must not become a header.
     *
     * @param array<string, string> $fields
     *
     * @throws UnreadableTemplate
     */
    public function subject(string $template, array $fields): string
    {
        return mb_substr(trim((string) preg_replace('/[\s\p{Cc}]+/u', ' ', $this->render($template, $fields))), 0, 200);
    }

    /**
     * The names of the fields that a text asks for, in the order of their first place.
     *
     * @return list<string>
     *
     * @throws UnreadableTemplate
     */
    public function fieldsOf(string $template): array
    {
        $names = [];
        foreach ($this->tokens($template) as $token) {
            if (\in_array(
                $token['type'],
                [
                    \Mustache_Tokenizer::T_ESCAPED,
                    \Mustache_Tokenizer::T_UNESCAPED,
                    \Mustache_Tokenizer::T_UNESCAPED_2,
                    \Mustache_Tokenizer::T_SECTION,
                    \Mustache_Tokenizer::T_INVERTED,
                ],
                true,
            )) {
                $names[] = \is_string($token['name'] ?? null) ? $token['name'] : '';
            }
        }

        return array_values(array_unique($names));
    }

    /** @param array<string, string> $fields */
    private function render(string $template, array $fields): string
    {
        try {
            return $this->engine->render($template, $fields);
        } catch (\Mustache_Exception $error) {
            throw new UnreadableTemplate($error->getMessage());
        }
    }

    /** @return list<array<string, mixed>> */
    private function tokens(string $template): array
    {
        try {
            $tokens = (new \Mustache_Tokenizer())->scan($template);
            (new \Mustache_Parser())->parse($tokens);
        } catch (\Mustache_Exception $error) {
            throw new UnreadableTemplate($error->getMessage());
        }

        return array_values($tokens);
    }
}

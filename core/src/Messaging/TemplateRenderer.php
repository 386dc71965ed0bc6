<?php

declare(strict_types=1);

namespace Telamon\Core\Messaging;

use Mustache_Engine;

/** Fills merge fields into the text of a message (Mustache, an open specification, without escaping: it is plain text). */
final class TemplateRenderer
{
    private readonly Mustache_Engine $engine;

    public function __construct()
    {
        $this->engine = new Mustache_Engine(['delimiters' => '{{ }}', 'escape' => static fn (mixed $value): string => \is_scalar($value) ? (string) $value : '']);
    }

    /** @param array<string, string> $fields by the name used in the template */
    public function body(string $template, array $fields): string
    {
        return trim($this->engine->render($template, $fields));
    }

    /**
     * One line, whatever the values hold: a line break in a name must not become a header.
     *
     * @param array<string, string> $fields
     */
    public function subject(string $template, array $fields): string
    {
        return mb_substr(trim((string) preg_replace('/[\s\p{Cc}]+/u', ' ', $this->engine->render($template, $fields))), 0, 200);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Replies;

/** What a letter in HTML says, as plain text: for mails that come with no other. Quoted blocks are marked with ">". */
final class HtmlText
{
    /** Beyond that the rest is not looked at, in bytes. */
    private const MOST = 2_000_000;

    private const BLOCKS = ['p', 'div', 'br', 'li', 'tr', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'table', 'ul', 'ol', 'blockquote', 'hr', 'pre'];

    public static function of(string $html): string
    {
        if ('' === trim($html)) {
            return '';
        }
        $page = new \DOMDocument();
        $before = libxml_use_internal_errors(true);
        $page->loadHTML('<?xml encoding="UTF-8">'.substr($html, 0, self::MOST), \LIBXML_NONET | \LIBXML_COMPACT);
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $text = null === $page->documentElement ? '' : self::text($page->documentElement, 0);

        return trim((string) preg_replace(['/[ \t]+/', '/ ?\n ?/', '/\n{3,}/'], [' ', "\n", "\n\n"], str_replace("\u{a0}", ' ', $text)));
    }

    private static function text(\DOMNode $node, int $depth): string
    {
        if ($depth > 200 || \in_array(strtolower($node->nodeName), ['script', 'style', 'head', 'title'], true)) {
            return '';
        }
        if ($node instanceof \DOMText) {
            return (string) preg_replace('/\s+/', ' ', $node->data);
        }
        $text = '';
        foreach ($node->childNodes as $child) {
            $text .= self::text($child, $depth + 1);
        }
        $name = strtolower($node->nodeName);
        if ('blockquote' === $name) {
            $text = (string) preg_replace('/^/m', '> ', trim($text));
        }

        return match (true) {
            'br' === $name => "\n",
            'p' === $name => "\n$text\n",
            \in_array($name, self::BLOCKS, true) => "\n$text\n",
            default => $text,
        };
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/** A filled document as a fragment of HTML. Every word is escaped; addresses were checked when the document was read. */
final class HtmlLetter
{
    /** @param list<array<string, mixed>> $blocks */
    public static function of(array $blocks): string
    {
        $html = '';
        foreach ($blocks as $block) {
            $attrs = Node::attrs($block);
            $html .= match ($block['type']) {
                'horizontalRule' => '<hr>',
                'picture' => '<p><img src="cid:'.self::escape($attrs['file'] ?? '').'" alt="'.self::escape($attrs['alt'] ?? '').'"></p>',
                'button' => '<p><a class="button" href="'.self::escape($attrs['href'] ?? '').'">'.self::escape($attrs['label'] ?? '').'</a></p>',
                'bulletList' => '<ul>'.self::of(Node::content($block)).'</ul>',
                'orderedList' => '<ol>'.self::of(Node::content($block)).'</ol>',
                'listItem' => '<li>'.self::of(Node::content($block)).'</li>',
                'heading' => self::heading($block),
                'paragraph' => [] === Node::content($block) ? '' : '<p>'.self::line(Node::content($block)).'</p>',
                default => '',
            };
        }

        return $html;
    }

    /** @param list<array<string, mixed>> $nodes */
    private static function line(array $nodes): string
    {
        $html = '';
        foreach ($nodes as $node) {
            if ('hardBreak' === $node['type']) {
                $html .= '<br>';
                continue;
            }
            $text = Node::text($node);
            $piece = Bidi::turns($text) ? '<bdi>'.self::escape(str_replace(["\u{2068}", "\u{2069}"], '', $text)).'</bdi>' : self::escape($text);
            $href = Node::href($node);
            if ('' === $href && 1 === preg_match('#^https?://\S+$#', trim($text))) {
                $href = trim($text);
            }
            foreach (Node::marks($node) as $mark) {
                $piece = match ($mark['type']) {
                    'bold' => "<strong>$piece</strong>",
                    'italic' => "<em>$piece</em>",
                    default => $piece,
                };
            }
            $html .= '' === $href ? $piece : '<a href="'.self::escape($href).'">'.$piece.'</a>';
        }

        return $html;
    }

    /** @param array<string, mixed> $block */
    private static function heading(array $block): string
    {
        $level = \is_array($block['attrs'] ?? null) && 3 === ($block['attrs']['level'] ?? 2) ? 3 : 2;

        return "<h$level>".self::line(Node::content($block))."</h$level>";
    }

    private static function escape(string $text): string
    {
        return str_replace("\n", '<br>', htmlspecialchars($text, \ENT_QUOTES | \ENT_SUBSTITUTE, 'UTF-8'));
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/** Fills a document: first what is shown and with which words, then the same as text and as HTML. */
final class DocumentWriter
{
    /** @var array<string, string> */
    private array $values = [];

    /** @var list<string> */
    private array $gaps = [];

    /** @var list<string> */
    private array $pictures = [];

    /**
     * @param array<string, string> $values by field
     * @param array<string, string> $words by field, for this once: instead of what nothing fills; empty leaves its sentence out
     */
    public function fill(MessageDocument $document, array $values, array $words = []): Filled
    {
        $this->values = array_map(trim(...), array_filter($words, static fn (string $word): bool => '' !== $word) + $values);
        $this->gaps = $this->pictures = [];
        $shown = $this->shown($document->blocks, array_keys(array_filter($words, static fn (string $word): bool => '' === $word)));

        return new Filled(new MessageDocument(ByHand::of($shown)), trim(PlainLetter::of($shown)), HtmlLetter::of($shown), array_values(array_unique($this->gaps)), $this->pictures);
    }

    /**
     * @param list<array<string, mixed>> $blocks
     * @param list<string> $without fields whose sentences are left out
     *
     * @return list<array<string, mixed>> without what its conditions hide; fields are texts
     */
    private function shown(array $blocks, array $without): array
    {
        $shown = [];
        foreach ($blocks as $block) {
            $attrs = Node::attrs($block);
            switch ($block['type']) {
                case 'horizontalRule':
                    $shown[] = $block;
                    break;
                case 'picture':
                    $this->pictures[] = $attrs['file'] ?? '';
                    $shown[] = $block;
                    break;
                case 'button':
                    $address = '' !== ($attrs['field'] ?? '') ? $this->values[$attrs['field']] ?? '' : $attrs['href'] ?? '';
                    // A field may hold what somebody wrote: only an address leads anywhere.
                    if (1 === preg_match(DocumentReader::ADDRESS, $address)) {
                        $shown[] = ['type' => 'button', 'attrs' => ['label' => $attrs['label'] ?? '', 'href' => $address]];
                    }
                    break;
                case 'paragraph':
                case 'heading':
                    $inline = $this->line(Node::content($block), $without);
                    if ([] !== $inline || [] === Node::content($block)) {
                        $shown[] = ['content' => $inline] + $block;
                    }
                    break;
                default:
                    $inner = $this->shown(Node::content($block), $without);
                    if ([] !== $inner) {
                        $shown[] = ['content' => $inner] + $block;
                    }
            }
        }

        return $shown;
    }

    /**
     * @param list<array<string, mixed>> $nodes
     * @param list<string> $without
     *
     * @return list<array<string, mixed>> texts and breaks; empty where nothing is to be seen
     */
    private function line(array $nodes, array $without): array
    {
        $line = [];
        foreach ([] === $without ? $nodes : Sentences::without($nodes, $without) as $node) {
            if (!$this->holds($node)) {
                continue;
            }
            if ('field' === $node['type']) {
                $attrs = Node::attrs($node);
                $value = $this->values[$attrs['field'] ?? ''] ?? '';
                if ('' === $value) {
                    $or = $attrs['or'] ?? null;
                    if (null === $or) {
                        $this->gaps[] = $attrs['field'] ?? '';
                    }
                    $value = $or ?? '';
                }
                $node = ['type' => 'text', 'text' => Bidi::apart($value), 'marks' => $node['marks'] ?? []];
            }
            $line[] = $node;
        }
        $line = ClosedUp::of($line);

        return [] === array_filter($line, static fn (array $node): bool => 'text' === $node['type'] && \is_string($node['text'] ?? null) && '' !== trim($node['text']))
            ? []
            : $line;
    }

    /** @param array<string, mixed> $node */
    private function holds(array $node): bool
    {
        foreach (Node::marks($node) as $mark) {
            $field = $mark['attrs']['field'] ?? '';
            if ('only' === $mark['type'] && \is_string($field) && ('' === ($this->values[$field] ?? '')) !== (true === ($mark['attrs']['empty'] ?? false))) {
                return false;
            }
        }

        return true;
    }
}

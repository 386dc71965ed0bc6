<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/**
 * A template as somebody writes it on by hand: a field that nothing fills, and that has no words of its own for that,
 * becomes a place to be written in. Conditions stay as they are: what they hide is not asked for.
 */
final class OpenPlaces
{
    /** @var array<string, true> fields that became places */
    private array $opened = [];

    /**
     * @param array<string, string> $values by field
     * @param \Closure(string): string $place what stands where a field of that name is empty; without braces
     */
    public function __construct(private readonly array $values, private readonly \Closure $place)
    {
    }

    /** @param string $text as a subject or a text message is kept */
    public function line(string $text): string
    {
        return (string) preg_replace_callback(
            '/\{\{ *([a-z][a-z0-9_.]*) *(\|[^{}]*)?\}\}/',
            fn (array $m): string => $this->isOpen($m[1], ltrim($m[2] ?? '', '|')) ? "{{{$m[1]}|{$this->open($m[1])}}}" : $m[0],
            $text,
        );
    }

    public function document(MessageDocument $document): MessageDocument
    {
        return new MessageDocument($this->nodes($document->blocks));
    }

    /** @return list<string> the places of all that was given so far, each once */
    public function places(): array
    {
        return array_map(($this->place)(...), array_keys($this->opened));
    }

    /**
     * @param list<array<string, mixed>> $nodes
     *
     * @return list<array<string, mixed>>
     */
    private function nodes(array $nodes): array
    {
        return array_map(function (array $node): array {
            $attrs = Node::attrs($node);
            $name = $attrs['field'] ?? '';
            if ('field' === $node['type'] && $this->isOpen($name, $attrs['or'] ?? '') && $this->isShown($node)) {
                return ['attrs' => ['field' => $name, 'or' => $this->open($name)]] + $node;
            }

            return isset($node['content']) ? ['content' => $this->nodes(Node::content($node))] + $node : $node;
        }, $nodes);
    }

    /** @param array<string, mixed> $node */
    private function isShown(array $node): bool
    {
        foreach (Node::marks($node) as $mark) {
            $field = $mark['attrs']['field'] ?? '';
            if ('only' === $mark['type'] && \is_string($field) && ('' === trim($this->values[$field] ?? '')) !== (true === ($mark['attrs']['empty'] ?? false))) {
                return false;
            }
        }

        return true;
    }

    private function isOpen(string $name, string $or): bool
    {
        return '' === trim($or) && '' === trim($this->values[$name] ?? '');
    }

    private function open(string $name): string
    {
        $this->opened[$name] = true;

        return ($this->place)($name);
    }
}

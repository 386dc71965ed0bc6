<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/** Reads the editor's document: only what is known comes through, so nothing else can reach a mail. */
final class DocumentReader
{
    /** What a link or a button may lead to. */
    public const ADDRESS = '#^(https?://[^\s<>"]+|mailto:[^\s<>"]+|tel:\+?[0-9 ()-]+)$#i';

    private const MOST_NODES = 3000;
    private const MOST_LETTERS = 30_000;
    private const DEEPEST = 8;

    private int $nodes = 0;
    private int $letters = 0;

    /**
     * @param mixed $given as the editor keeps it
     *
     * @throws InvalidDocument
     */
    public function read(mixed $given): MessageDocument
    {
        $this->nodes = $this->letters = 0;
        if (!\is_array($given) || 'doc' !== ($given['type'] ?? null)) {
            throw new InvalidDocument('This is no text that can be read.');
        }

        return new MessageDocument($this->blocks($given['content'] ?? [], 1));
    }

    /** @return list<array<string, mixed>> */
    private function blocks(mixed $given, int $depth): array
    {
        if (!\is_array($given) || $depth > self::DEEPEST) {
            throw new InvalidDocument('The text is nested too deeply.');
        }
        $blocks = [];
        foreach ($given as $node) {
            if (\is_array($node)) {
                $blocks[] = $this->block($node, $depth);
            }
        }

        return array_values(array_filter($blocks));
    }

    /**
     * @param array<mixed> $node
     *
     * @return array<string, mixed>
     */
    private function block(array $node, int $depth): array
    {
        $this->count();
        $attrs = \is_array($node['attrs'] ?? null) ? $node['attrs'] : [];
        $type = \is_string($node['type'] ?? null) ? $node['type'] : '';

        return match ($type) {
            'paragraph' => ['type' => $type, 'content' => $this->inline($node['content'] ?? [])],
            'heading' => ['type' => $type, 'attrs' => ['level' => 3 === ($attrs['level'] ?? 2) ? 3 : 2], 'content' => $this->inline($node['content'] ?? [])],
            'bulletList', 'orderedList', 'listItem' => ['type' => $type, 'content' => $this->blocks($node['content'] ?? [], $depth + 1)],
            'horizontalRule' => ['type' => $type],
            'button' => ['type' => $type, 'attrs' => $this->button($attrs)],
            'picture' => ['type' => $type, 'attrs' => ['file' => $this->id($attrs['file'] ?? ''), 'alt' => $this->words($attrs['alt'] ?? '', 300)]],
            default => throw new InvalidDocument("“{$type}” cannot stand in a message."),
        };
    }

    /** @return list<array<string, mixed>> */
    private function inline(mixed $given): array
    {
        $nodes = [];
        foreach (\is_array($given) ? $given : [] as $node) {
            if (!\is_array($node)) {
                continue;
            }
            $this->count();
            $attrs = \is_array($node['attrs'] ?? null) ? $node['attrs'] : [];
            $marks = $this->marks($node['marks'] ?? []);
            $nodes[] = match ($node['type'] ?? null) {
                'text' => ['type' => 'text', 'text' => $this->words($node['text'] ?? '', self::MOST_LETTERS)] + $marks,
                'hardBreak' => ['type' => 'hardBreak'] + $marks,
                'field' => [
                    'type' => 'field',
                    'attrs' => ['field' => $this->name($attrs['field'] ?? ''), 'or' => null === ($attrs['or'] ?? null) ? null : $this->words($attrs['or'], 200)],
                ] + $marks,
                default => throw new InvalidDocument('There is something in a line that cannot stand in a message.'),
            };
        }

        return $nodes;
    }

    /** @return array{marks?: list<array<string, mixed>>} */
    private function marks(mixed $given): array
    {
        $marks = [];
        foreach (\is_array($given) ? $given : [] as $mark) {
            $attrs = \is_array($mark) && \is_array($mark['attrs'] ?? null) ? $mark['attrs'] : [];
            $type = \is_array($mark) ? $mark['type'] ?? null : null;
            $marks[] = match ($type) {
                'bold', 'italic' => ['type' => $type],
                'link' => ['type' => 'link', 'attrs' => ['href' => $this->address($attrs['href'] ?? '')]],
                'only' => ['type' => 'only', 'attrs' => ['field' => $this->name($attrs['field'] ?? ''), 'empty' => true === ($attrs['empty'] ?? false)]],
                default => throw new InvalidDocument('There is a mark that cannot stand in a message.'),
            };
        }

        return [] === $marks ? [] : ['marks' => $marks];
    }

    /**
     * @param array<mixed> $attrs
     *
     * @return array<string, string> label and either field or href
     */
    private function button(array $attrs): array
    {
        $label = $this->words($attrs['label'] ?? '', 80);
        if ('' === $label) {
            throw new InvalidDocument('A button needs words.');
        }
        $field = $attrs['field'] ?? '';

        return ['label' => $label] + (\is_string($field) && '' !== $field ? ['field' => $this->name($field), 'href' => ''] : [
            'field' => '',
            'href' => $this->address($attrs['href'] ?? ''),
        ]);
    }

    private function address(mixed $given): string
    {
        if (!\is_string($given) || mb_strlen($given) > 2000 || 1 !== preg_match(self::ADDRESS, $given)) {
            throw new InvalidDocument('A link needs an address that begins with https://, mailto: or tel:.');
        }

        return $given;
    }

    private function name(mixed $given): string
    {
        if (!\is_string($given) || 1 !== preg_match('/^[a-z][a-z0-9_.]{0,60}$/', $given)) {
            throw new InvalidDocument('A field has no name that can be read.');
        }

        return $given;
    }

    private function id(mixed $given): string
    {
        return \is_string($given) && 1 === preg_match('/^[0-9a-f-]{36}$/', $given) ? $given : throw new InvalidDocument('A picture is not there.');
    }

    private function words(mixed $given, int $most): string
    {
        $words = \is_string($given) && mb_check_encoding($given, 'UTF-8') ? (string) preg_replace('/[\x00-\x08\x0b\x0c\x0e-\x1f]/', '', $given) : '';
        $this->letters += mb_strlen($words);
        if (mb_strlen($words) > $most || $this->letters > self::MOST_LETTERS) {
            throw new InvalidDocument('The text is too long.');
        }

        return $words;
    }

    private function count(): void
    {
        if (++$this->nodes > self::MOST_NODES) {
            throw new InvalidDocument('The text has too many parts.');
        }
    }
}

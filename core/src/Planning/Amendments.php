<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

/** What somebody changed of a plan before accepting it, beside the choices that it offers. */
final readonly class Amendments
{
    public const ADDED_KINDS = ['task', 'note', 'tag', 'notice', 'owner'];

    /**
     * @param list<string> $dropped keys of lines that are left out
     * @param array<string, array<string, string>> $edits values by field by key of the line
     * @param list<array{kind: string, values: array<string, string>}> $added lines of their own: a task (name, assignee, due), a note (text), a tag (record, tag), a notice or the client’s owner (staff)
     */
    public function __construct(public array $dropped = [], public array $edits = [], public array $added = [])
    {
    }

    public function isEmpty(): bool
    {
        return [] === $this->dropped && [] === $this->edits && [] === $this->added;
    }

    public function edit(string $line, string $field): string
    {
        return $this->edits[$line][$field] ?? '';
    }
}

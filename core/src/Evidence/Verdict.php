<?php

declare(strict_types=1);

namespace Telamon\Core\Evidence;

/** What holds of a file, and what does not. */
final readonly class Verdict
{
    /**
     * @param list<Check> $holds
     * @param array<array-key, mixed>|null $document what it says was signed; null where that cannot be read
     * @param string $closed SHA-256 of the file as it was closed, by its own word; empty where it has none
     */
    private function __construct(public bool $isSigned, public array $holds, public ?array $document, public string $closed = '')
    {
    }

    /** Of a file in which nothing signed is. */
    public static function nothing(): self
    {
        return new self(false, [], null);
    }

    /**
     * @param list<Check> $holds
     * @param array<array-key, mixed>|null $document
     */
    public static function of(array $holds, ?array $document, string $closed = ''): self
    {
        return new self(true, array_values(array_filter(Check::cases(), static fn (Check $one): bool => \in_array($one, $holds, true))), $document, $closed);
    }

    /** @return list<Check> */
    public function fails(): array
    {
        return $this->isSigned ? array_values(array_filter(Check::cases(), fn (Check $one): bool => !\in_array($one, $this->holds, true))) : [];
    }

    public function holds(Check $check): bool
    {
        return \in_array($check, $this->holds, true);
    }

    /** @return array{signed: bool, number?: string|null, revision?: int|null, signed_at?: string|null, holds: list<string>, fails: list<string>} */
    public function toArray(): array
    {
        $text = fn (string $key): ?string => \is_string($this->document[$key] ?? null) ? $this->document[$key] : null;
        $words = static fn (array $checks): array => array_values(array_map(static fn (Check $one): string => $one->value, $checks));
        $revision = $this->document['revision'] ?? null;

        return ['signed' => $this->isSigned]
            + ($this->isSigned ? ['number' => $text('number'), 'revision' => \is_int($revision) ? $revision : null, 'signed_at' => $text('at')] : [])
            + ['holds' => $words($this->holds), 'fails' => $words($this->fails())];
    }
}

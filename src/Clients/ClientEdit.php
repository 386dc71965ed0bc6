<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Telamon\Refusal\InvalidInput;

/** What somebody writes about a client by hand, checked; null for what was not written. */
final readonly class ClientEdit
{
    private const LENGTHS = ['givenName' => 200, 'familyName' => 200, 'organisation' => 200, 'address' => 300, 'notes' => 10_000];

    /** @param array<array-key, mixed> $body as ClientEdit in the contract */
    public function __construct(private array $body)
    {
    }

    /**
     * @param key-of<self::LENGTHS> $field
     *
     * @throws InvalidInput
     */
    public function text(string $field): ?string
    {
        $value = $this->body[$field] ?? null;
        if (null === $value) {
            return null;
        }
        if (!\is_string($value)) {
            throw new InvalidInput($field, 'Write this as text.');
        }
        $value = trim($value);

        return mb_strlen($value) > self::LENGTHS[$field] ? throw new InvalidInput($field, 'Shorten this to '.number_format(self::LENGTHS[$field]).' characters.') : $value;
    }

    /**
     * @param 'otherAddresses'|'tags' $field
     *
     * @return list<string>|null each once, none empty
     *
     * @throws InvalidInput
     */
    public function texts(string $field, int $most, int $longest): ?array
    {
        $values = $this->body[$field] ?? null;
        if (null === $values) {
            return null;
        }
        if (!\is_array($values) || \count($values) > $most) {
            throw new InvalidInput($field, "Send at most $most.");
        }
        $texts = [];
        foreach ($values as $value) {
            if (!\is_string($value) || mb_strlen(trim($value)) > $longest) {
                throw new InvalidInput($field, "Each has at most $longest characters.");
            }
            $texts[] = trim($value);
        }

        return array_values(array_unique(array_filter($texts, static fn (string $text): bool => '' !== $text)));
    }

    /** @return string|null id of staff; empty for nobody */
    public function owner(): ?string
    {
        $owner = $this->body['owner'] ?? null;

        return null === $owner || \is_string($owner) ? $owner : throw new InvalidInput('owner', 'Choose somebody who is here.');
    }

    public function version(): int
    {
        $version = $this->body['version'] ?? null;

        return \is_int($version) ? $version : throw new InvalidInput('version', 'Send the version of the client that was looked at.');
    }

    /**
     * @return array<int, array{id: string|null, was: string|null, kind: ContactKind, value: string, remove: bool}> by their place in what was sent
     *
     * @throws InvalidInput
     */
    public function contactPoints(): array
    {
        $points = [];
        $sent = $this->body['contactPoints'] ?? [];
        if (!\is_array($sent) || \count($sent) > 20) {
            throw new InvalidInput('contactPoints', 'Send at most 20.');
        }
        foreach (array_values($sent) as $i => $one) {
            $one = \is_array($one) ? $one : [];
            $kind = \is_string($one['kind'] ?? null) ? ContactKind::tryFrom($one['kind']) : null;
            $value = \is_string($one['value'] ?? null) ? trim($one['value']) : '';
            if (null === $kind) {
                throw new InvalidInput("contactPoints.$i.kind", 'Choose email or phone.');
            }
            $points[$i] = ['id' => \is_string($one['id'] ?? null) ? $one['id'] : null, 'was' => \is_string($one['was'] ?? null) ? $one['was'] : null, 'kind' => $kind, 'value' => $value, 'remove' => true === ($one['remove'] ?? false)];
        }

        return $points;
    }
}

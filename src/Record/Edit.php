<?php

declare(strict_types=1);

namespace Telamon\Record;

use Telamon\Refusal\InvalidInput;

/** What somebody writes about a record by hand, checked; null for what was not written. */
class Edit
{
    /** Letters up to which a field is one line. */
    private const ONE_LINE = 200;

    /** @param array<array-key, mixed> $body as sent */
    public function __construct(protected readonly array $body)
    {
    }

    /**
     * @param int $longest in characters
     *
     * @throws InvalidInput
     */
    public function text(string $field, int $longest): ?string
    {
        $value = $this->body[$field] ?? null;
        if (null === $value) {
            return null;
        }
        if (!\is_string($value)) {
            throw new InvalidInput($field, 'Write this as text.');
        }
        // What is as short as a name stands in one line, in subjects and headers too.
        $value = trim($longest <= self::ONE_LINE ? (string) preg_replace('/\s*[\r\n\x{0b}\x{0c}\x{85}\x{2028}\x{2029}]+\s*/u', ' ', mb_scrub($value)) : $value);

        return mb_strlen($value) > $longest ? throw new InvalidInput($field, 'Shorten this to '.number_format($longest).' characters.') : $value;
    }

    /**
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

    /**
     * @return \DateTimeImmutable|null midnight UTC of an ISO 8601 day; null where it was not written, or emptied
     *
     * @throws InvalidInput
     */
    public function day(string $field): ?\DateTimeImmutable
    {
        $text = $this->text($field, 10) ?? '';
        if ('' === $text) {
            return null;
        }
        $day = \DateTimeImmutable::createFromFormat('!Y-m-d', $text, new \DateTimeZone('UTC'));

        return false !== $day && $day->format('Y-m-d') === $text ? $day : throw new InvalidInput($field, 'There is no such day. Write it like 2027-06-12.');
    }

    /** @throws InvalidInput */
    public function yes(string $field): ?bool
    {
        $value = $this->body[$field] ?? null;

        return null === $value || \is_bool($value) ? $value : throw new InvalidInput($field, 'Say yes or no.');
    }

    /** @throws InvalidInput */
    public function whole(string $field, int $least, int $most): ?int
    {
        $value = $this->body[$field] ?? null;

        return null === $value || (\is_int($value) && $value >= $least && $value <= $most) ? $value : throw new InvalidInput($field, "Write a whole number, from $least to $most.");
    }

    /** Whether it was written at all. */
    public function has(string $field): bool
    {
        return null !== ($this->body[$field] ?? null);
    }

    /**
     * Parts of the record, each written like the record itself.
     *
     * @return list<self> at most 50; none where they were not written
     *
     * @throws InvalidInput
     */
    public function parts(string $field): array
    {
        $given = $this->body[$field] ?? [];
        if (!\is_array($given) || \count($given) > 50) {
            throw new InvalidInput($field, 'Send at most 50.');
        }

        return array_values(array_map(static fn (mixed $one): self => new self(\is_array($one) ? $one : []), $given));
    }

    /** As sent, unchecked: whoever knows what may stand in it checks it. */
    public function any(string $field): mixed
    {
        return $this->body[$field] ?? null;
    }

    /** @throws InvalidInput where the version that was looked at does not come with it */
    public function version(): int
    {
        $version = $this->body['version'] ?? null;

        return \is_int($version) ? $version : throw new InvalidInput('version', 'Send the version that was looked at.');
    }
}

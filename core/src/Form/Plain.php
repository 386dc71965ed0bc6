<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** Takes values of a known kind out of a stored definition. */
final class Plain
{
    /**
     * @param array<mixed> $data
     *
     * @return list<array<mixed>>
     *
     * @throws InvalidDefinition
     */
    public static function rows(array $data, string $key): array
    {
        $rows = $data[$key] ?? [];
        if (!\is_array($rows)) {
            throw new InvalidDefinition("$key: a list is needed");
        }

        return array_values(array_map(
            static fn (mixed $row): array => \is_array($row) ? $row : throw new InvalidDefinition("$key: each entry is an object"),
            $rows,
        ));
    }

    /**
     * @param array<mixed> $data
     *
     * @throws InvalidDefinition
     */
    public static function text(array $data, string $key): string
    {
        $text = $data[$key] ?? '';

        return \is_string($text) ? $text : throw new InvalidDefinition("$key: text is needed");
    }

    /**
     * @param array<mixed> $data
     *
     * @return list<string> without empty ones
     *
     * @throws InvalidDefinition
     */
    public static function texts(array $data, string $key, int $most, int $longest): array
    {
        $texts = $data[$key] ?? [];
        if (!\is_array($texts) || \count($texts) > $most) {
            throw new InvalidDefinition("$key: a list of at most $most is needed");
        }
        $texts = array_map(
            static fn (mixed $text): string => \is_string($text) && mb_strlen($text) <= $longest ? trim($text) : throw new InvalidDefinition("$key: texts of at most $longest characters are needed"),
            array_values($texts),
        );

        return array_values(array_filter($texts, static fn (string $text): bool => '' !== $text));
    }

    /**
     * @param array<mixed> $data
     *
     * @throws InvalidDefinition
     */
    public static function whole(array $data, string $key, int $default): int
    {
        $number = $data[$key] ?? $default;

        return \is_int($number) && $number >= 0 ? $number : throw new InvalidDefinition("$key: a whole number from 0 is needed");
    }

    /**
     * @param array<mixed> $data
     * @param non-empty-list<string> $allowed the first where nothing is said
     *
     * @throws InvalidDefinition
     */
    public static function oneOf(array $data, string $key, array $allowed, string $at): string
    {
        $text = self::text($data, $key);
        if ('' === $text) {
            return $allowed[0];
        }

        return \in_array($text, $allowed, true) ? $text : throw new InvalidDefinition("$at: $key is one of ".implode(', ', $allowed));
    }
}

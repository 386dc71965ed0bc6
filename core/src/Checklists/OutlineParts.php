<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** Reads the parts of an outline out of JSON, each with where it stands when it is refused. */
final class OutlineParts
{
    public static function key(mixed $key, string $at): string
    {
        return self::isKey($key) ? $key : throw self::noKey($at);
    }

    /**
     * @phpstan-assert-if-true string $key
     */
    public static function isKey(mixed $key): bool
    {
        return \is_string($key) && '' !== trim($key) && \strlen($key) <= 400 && false === strpbrk($key, "\r\n");
    }

    /** Asked for only where one is missing: there are thousands of keys, and the words about them cost more than the look. */
    public static function noKey(string $at): UnreadableOutline
    {
        return new UnreadableOutline("$at: write a key, as text in one line.");
    }

    public static function date(mixed $date, string $at): string
    {
        return \is_string($date) && 1 === preg_match('/^(\d{4})-(\d\d)-(\d\d)$/D', $date, $part) && checkdate((int) $part[2], (int) $part[3], (int) $part[1])
            ? $date : throw new UnreadableOutline("$at: write a day as 2026-11-24.");
    }

    /** @return array<array-key, mixed> */
    public static function map(mixed $data, string $at): array
    {
        return self::isMap($data) ? $data : throw new UnreadableOutline("$at: send an object.");
    }

    /** @phpstan-assert-if-true array<array-key, mixed> $data */
    public static function isMap(mixed $data): bool
    {
        return \is_array($data) && (!array_is_list($data) || [] === $data);
    }

    /**
     * @param array<array-key, mixed> $data
     * @param list<mixed>|null $usual null where it has to be there
     *
     * @return list<mixed>
     */
    public static function list(array $data, string $name, ?array $usual, string $at = ''): array
    {
        $list = $data[$name] ?? $usual;

        return \is_array($list) && array_is_list($list) ? $list : throw new UnreadableOutline(('' === $at ? '' : "$at: ")."$name: send a list.");
    }
}

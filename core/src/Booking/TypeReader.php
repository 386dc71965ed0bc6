<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** Reads the settings of a type of appointment; what is not said is as usual. */
final class TypeReader
{
    private const LONGEST = 1440;
    private const MOST_MINUTES = 60 * 24 * 366;
    private const MOST = 50;

    /**
     * @param array<array-key, mixed> $data as TypeSettings in api/openapi.yaml
     *
     * @throws InvalidType
     */
    public function read(array $data): TypeSettings
    {
        $lengths = [];
        foreach (self::list($data, 'lengths', [60]) as $i => $length) {
            $lengths[] = self::number($length, "lengths.$i", 1, self::LONGEST, 'A length is a whole number of minutes, from 1 to 1440: a day at most.');
        }
        $people = [];
        foreach (self::list($data, 'people', []) as $i => $role) {
            $people[] = self::texts($role, "people.$i");
        }
        $people = array_values(array_filter($people));
        $takes = self::choice($data, 'takes', Takes::class, Takes::Any);
        if ([] === $lengths) {
            throw new InvalidType('lengths', 'Give it a length.');
        }
        if ([] === $people) {
            throw new InvalidType('people', 'Name somebody who can do it.');
        }
        if (Takes::Each !== $takes && \count($people) > 1) {
            throw new InvalidType('people', 'Several roles need one of each.');
        }

        return new TypeSettings(
            array_values(array_unique($lengths)),
            self::whole($data, 'clearBefore', 0, self::LONGEST, 0),
            self::whole($data, 'clearAfter', 0, self::LONGEST, 0),
            $takes,
            $people,
            self::choice($data, 'picks', Picks::class, Picks::Turns),
            self::texts($data['resources'] ?? [], 'resources'),
            self::choice($data, 'place', PlaceKind::class, PlaceKind::Client),
            self::text($data, 'address', 300),
            self::whole($data, 'step', 5, 240, 30),
            self::whole($data, 'notice', 0, self::MOST_MINUTES, 1440),
            self::whole($data, 'furthestDays', 1, 730, 60),
            self::maybe($data, 'dayLimit'),
            self::maybe($data, 'weekLimit'),
            self::whole($data, 'seats', 1, 500, 1),
            self::text($data, 'price', 100),
            self::text($data, 'deposit', 100),
            self::whole($data, 'cancelNotice', 0, self::MOST_MINUTES, 1440),
            self::choice($data, 'onto', OntoProject::class, OntoProject::Joins),
            self::text($data, 'service', 40),
            self::text($data, 'after', 60),
            $this->reminders($data),
            self::text($data, 'says', 2000),
            self::whole($data, 'waitHours', 1, 336, 24),
        );
    }

    /**
     * @param array<array-key, mixed> $data
     *
     * @return list<Reminder> the earliest first
     */
    private function reminders(array $data): array
    {
        $reminders = [];
        foreach (self::list($data, 'reminders', [['minutes' => 1440, 'template' => 'reminder'], ['minutes' => 120, 'template' => 'on-the-way']]) as $i => $one) {
            $template = \is_array($one) ? $one['template'] ?? null : null;
            if (!\is_array($one) || !\is_string($template) || '' === $template) {
                throw new InvalidType("reminders.$i", 'Choose a text for it.');
            }
            $minutes = self::number($one['minutes'] ?? null, "reminders.$i", 1, self::MOST_MINUTES, 'Say how long before, in minutes.');
            if (isset($reminders[$minutes])) {
                throw new InvalidType("reminders.$i", 'Two go out at one time.');
            }
            $reminders[$minutes] = new Reminder($minutes, $template);
        }
        krsort($reminders);

        return array_values($reminders);
    }

    /**
     * @template T of \BackedEnum
     *
     * @param array<array-key, mixed> $data
     * @param class-string<T> $enum
     * @param T $usual
     *
     * @return T
     */
    private static function choice(array $data, string $key, string $enum, \BackedEnum $usual): \BackedEnum
    {
        $value = $data[$key] ?? $usual->value;

        return \is_string($value) && null !== ($case = $enum::tryFrom($value)) ? $case : throw new InvalidType($key, 'Choose one that is offered.');
    }

    /** @param array<array-key, mixed> $data */
    private static function text(array $data, string $key, int $most): string
    {
        $text = $data[$key] ?? '';

        return \is_string($text) && mb_strlen(trim($text)) <= $most ? trim($text) : throw new InvalidType($key, "Write at most $most characters.");
    }

    /** @param array<array-key, mixed> $data */
    private static function whole(array $data, string $key, int $least, int $most, int $usual): int
    {
        return self::number($data[$key] ?? $usual, $key, $least, $most, "Write a whole number from $least to $most.");
    }

    /** @param array<array-key, mixed> $data */
    private static function maybe(array $data, string $key): ?int
    {
        return isset($data[$key]) ? self::whole($data, $key, 1, 1000, 1) : null;
    }

    private static function number(mixed $value, string $path, int $least, int $most, string $message): int
    {
        return \is_int($value) && $value >= $least && $value <= $most ? $value : throw new InvalidType($path, $message);
    }

    /** @return list<string> */
    private static function texts(mixed $value, string $path): array
    {
        $texts = \is_array($value) ? array_values(array_unique(array_filter($value, static fn (mixed $one): bool => \is_string($one) && '' !== $one && \strlen($one) <= 60))) : [];

        return \is_array($value) && \count($value) <= self::MOST && \count($texts) === \count(array_unique($value, \SORT_REGULAR))
            ? $texts
            : throw new InvalidType($path, 'Send a list of names, each once.');
    }

    /**
     * @param array<array-key, mixed> $data
     * @param list<mixed> $usual
     *
     * @return list<mixed>
     */
    private static function list(array $data, string $key, array $usual): array
    {
        $list = $data[$key] ?? $usual;

        return \is_array($list) && array_is_list($list) && \count($list) <= self::MOST ? $list : throw new InvalidType($key, 'Send a list.');
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

use Telamon\Core\People\StaffMember;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Time\DayWords;

/** How values are told to people at this business: whom an id stands for, a day in words, a number as it is dialled. */
final readonly class Telling
{
    /**
     * @param \DateTimeImmutable $today in the business's time zone
     * @param array<string, StaffMember> $staff by id
     * @param array<string, array{label: string, more: string}> $records what is on file, by “kind:id”, and what is said of it beside
     * @param array<string, string> $labels of own fields, by “record.custom.key”
     * @param array<string, string> $templates subjects by key
     * @param PhoneReader|null $phones null where numbers are told as they are kept
     */
    public function __construct(
        public \DateTimeImmutable $today,
        private array $staff,
        private array $records,
        private array $labels,
        private array $templates,
        public string $assetWord,
        private ?PhoneReader $phones = null,
    ) {
    }

    /** @return string an id that nobody here has, as it is */
    public function staff(string $id): string
    {
        return ($this->staff[$id] ?? null)->name ?? $id;
    }

    public function firstName(string $id): string
    {
        return ($this->staff[$id] ?? null)?->firstName() ?? $id;
    }

    public function record(string $kind, string $id): Part
    {
        return Part::record($kind, $id, $this->records["$kind:$id"]['label'] ?? $id);
    }

    /** What is said of a record beside its name. */
    public function more(string $kind, string $id): string
    {
        return $this->records["$kind:$id"]['more'] ?? '';
    }

    /** @param string $iso ISO 8601 */
    public function day(string $iso): string
    {
        return DayWords::short(new \DateTimeImmutable($iso, new \DateTimeZone('UTC')), $this->today);
    }

    /** @param string $number E.164 */
    public function phone(string $number): string
    {
        return '' === $number ? '' : ($this->phones?->format($number) ?? $number);
    }

    public function template(string $key): string
    {
        return $this->templates[$key] ?? $key;
    }

    /** What a field of a record is called. */
    public function label(string $record, string $field): string
    {
        return $this->labels["$record.$field"] ?? ucfirst($field);
    }

    /** A value that can be changed, as a sentence says it. */
    public function shown(LineField $field): string
    {
        return match (true) {
            'phone' === $field->reads => $this->phone($field->value),
            'staff' === $field->reads => $this->staff($field->value),
            'day' === $field->kind && '' !== $field->value => $this->day($field->value),
            default => $field->value,
        };
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Effects\MakeClient;
use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\InvalidDecision;
use Telamon\Core\Plan\LineField;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Reading\EmailReader;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Time\DayWords;

/** Changes single values of plan lines, and the sentence with them. */
final readonly class LineValues
{
    public function __construct(private EmailReader $emails = new EmailReader(), private ?PhoneReader $phones = null)
    {
    }

    /**
     * @param array<string, string> $values those to change, by the names of the line's fields
     *
     * @throws InvalidDecision when one of them cannot be
     */
    public function change(PlanLine $line, Changeable $effect, array $values, PlanInput $input): PlanLine
    {
        $parts = $line->parts;
        $read = [];
        foreach ($effect->fields() as $field) {
            if (isset($values[$field->key])) {
                $read[$field->key] = $this->read("{$line->key}.{$field->key}", $field, $values[$field->key], $input);
            }
        }
        $changed = $effect->with($read);
        foreach ($changed->fields() as $i => $field) {
            $old = $effect->fields()[$i];
            if (isset($read[$field->key]) && !\in_array($field->key, ['given', 'family'], true)) {
                $parts = self::replaced($parts, $this->shown($old, $input), $this->shown($field, $input));
            }
        }
        if ($changed instanceof MakeClient && (isset($read['given']) || isset($read['family']))) {
            $parts = self::named($parts, trim("{$changed->given} {$changed->family}"));
        }

        return $line->amended($parts, $changed);
    }

    private function read(string $path, LineField $field, string $value, PlanInput $input): string
    {
        return match ($field->reads) {
            'email' => $this->emails->read($value) ?? throw new InvalidDecision($path, $this->emails->fault($value) ?? 'This is no mail address.'),
            'phone' => null === $this->phones ? $value : $this->phones->read($value) ?? throw new InvalidDecision($path, $this->phones->fault($value) ?? 'This is no phone number.'),
            'staff' => Amender::staff($path, $value, $input)->id,
            'text' => mb_substr(trim($value), 0, 2000),
        };
    }

    private function shown(LineField $field, PlanInput $input): string
    {
        $value = $field->value;

        return match ($field->reads) {
            'phone' => '' === $value ? '' : ($this->phones?->format($value) ?? $value),
            'staff' => ($input->book->staff[$value] ?? null)->name ?? $value,
            default => 1 === preg_match('/^\d{4}-\d{2}-\d{2}$/', $value) ? DayWords::short(new \DateTimeImmutable($value, new \DateTimeZone('UTC')), $input->today) : $value,
        };
    }

    /**
     * With a value in the place of another; at the end where the sentence did not say it.
     *
     * @param list<Part> $parts
     *
     * @return list<Part>
     */
    private static function replaced(array $parts, string $old, string $new): array
    {
        foreach ($parts as $i => $part) {
            if ($part->value && '' !== $old && $part->text === $old) {
                $parts[$i] = Part::value($new);

                return $parts;
            }
        }

        return '' === $new || $old === $new ? $parts : [...$parts, Part::words('; '), Part::value($new)];
    }

    /**
     * @param list<Part> $parts of a line that makes a client: its first value is the name
     *
     * @return list<Part>
     */
    private static function named(array $parts, string $name): array
    {
        foreach ($parts as $i => $part) {
            if ($part->value) {
                $parts[$i] = Part::value($name);
                break;
            }
        }

        return $parts;
    }
}

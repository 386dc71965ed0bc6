<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\EffectKind;
use Telamon\Core\Plan\InvalidDecision;
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
    public function change(PlanLine $line, Effect $effect, array $values, PlanInput $input): PlanLine
    {
        $parts = $line->parts;
        $kept = $effect->values;
        foreach ($values as $name => $value) {
            $path = "{$line->key}.$name";
            if ('tags' === $name) {
                $kept['tags'] = array_values(array_filter(array_map(trim(...), explode(',', $value)), static fn (string $tag): bool => '' !== $tag));
                $parts = self::replaced($parts, implode(', ', $effect->texts('tags')), implode(', ', $kept['tags']));
                continue;
            }
            $kept[$name] = $this->read($path, $effect, $name, $value, $input);
            if ('given' !== $name && 'family' !== $name) {
                $parts = self::replaced($parts, $this->shown($effect, $name, $effect->text($name), $input), $this->shown($effect, $name, $kept[$name], $input));
            }
        }
        $changed = new Effect($effect->kind, $kept);
        if (EffectKind::CreateClient === $effect->kind && (isset($values['given']) || isset($values['family']))) {
            $parts = self::named($parts, trim("{$changed->text('given')} {$changed->text('family')}"));
        }

        return $line->amended($parts, $changed);
    }

    private function read(string $path, Effect $effect, string $name, string $value, PlanInput $input): string
    {
        $field = 'value' === $name ? $effect->text('field') : $name;

        return match ($field) {
            'email', 'to' => $this->emails->read($value) ?? throw new InvalidDecision($path, $this->emails->fault($value) ?? 'This is no mail address.'),
            'phone' => null === $this->phones ? $value : $this->phones->read($value) ?? throw new InvalidDecision($path, $this->phones->fault($value) ?? 'This is no phone number.'),
            'owner', 'lead' => Amender::staff($path, $value, $input)->id,
            default => mb_substr(trim($value), 0, 2000),
        };
    }

    private function shown(Effect $effect, string $name, string $value, PlanInput $input): string
    {
        return match ('value' === $name ? $effect->text('field') : $name) {
            'phone' => '' === $value ? '' : ($this->phones?->format($value) ?? $value),
            'owner', 'lead' => ($input->book->staff[$value] ?? null)->name ?? $value,
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

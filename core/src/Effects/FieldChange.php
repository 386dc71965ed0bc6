<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Form\Reading;
use Telamon\Core\Plan\Choice;
use Telamon\Core\Plan\Comparison;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Plan\Telling;

/** A plan line about one field of a record that is on file: keep what stands there, replace it, or keep both. */
final readonly class FieldChange
{
    private const KEEP = 'keep';
    private const REPLACE = 'replace';
    private const BOTH = 'both';

    /**
     * @param string $key of the line and of its choice
     * @param string $record client, project or asset
     * @param bool $canBoth whether the record can hold several of these
     * @param bool $mayBeLonger whether what is on file is the same where it only goes on (an address with a remark)
     * @param string $usual what is done with a value that differs where nobody can tell who changed it
     */
    public function __construct(
        private string $key,
        private string $record,
        private string $field,
        private bool $canBoth = false,
        private string $usual = self::KEEP,
        private bool $mayBeLonger = false,
    ) {
    }

    /**
     * @param string $value normalised, as it is kept
     * @param string|null $sent the same, as it was sent out with the form
     * @param list<string> $onFile the same, of the record
     * @param array<string, string> $decisions
     * @param \Closure(string): string $plain what equal values share
     */
    public function line(Reading $reading, string $value, ?string $sent, array $onFile, array $decisions, Telling $telling, ?\Closure $plain = null): PlanLine
    {
        $plain ??= self::plain(...);
        $shown = 'phone' === $this->field ? $telling->phone(...) : static fn (string $text): string => $text;
        $label = $telling->label($this->record, $this->field);
        $onFile = array_values(array_filter($onFile, static fn (string $one): bool => '' !== $one));
        $there = array_map($plain, $onFile);
        if ($this->mayBeLonger) {
            $there = array_map(static fn (string $one): string => str_starts_with("$one ", "{$plain($value)} ") ? $plain($value) : $one, $there);
        }
        $comparison = Comparison::of(null === $sent ? null : $plain($sent), $plain($value), $there);
        $number = $reading->question->number;
        if (Comparison::Fills === $comparison || Comparison::Same === $comparison) {
            $fills = Comparison::Fills === $comparison;
            $rough = $fills && $reading->isAbout ? "read as {$reading->string()}" : '';

            return $this->says("{$label}: ", Part::value($reading->text, $number))
                ->doing($fills ? $this->effect($value, 'add', '') : null)
                ->noting($rough)
                ->because($fills ? '' : 'as on file');
        }
        $old = $this->replaced($onFile, $sent, $plain);
        $choice = $this->choice($comparison, $decisions[$this->key] ?? null);
        [$here, $there] = [Part::value($reading->text, $number), Part::value(implode(', ', array_map($shown, $onFile)))];
        $parts = match ($choice->chosen) {
            self::REPLACE => ["{$label}: ", $here, ' instead of ', Part::value($shown($old))],
            self::BOTH => ["{$label}: ", $here, ' beside ', $there],
            self::KEEP => ["{$label} stays ", $there, '; they wrote ', $here],
            default => ["{$label}: they wrote ", $here, ', here it has become ', $there, '. Which counts?'],
        };
        $effect = match ($choice->chosen) {
            self::REPLACE => $this->effect($value, 'replace', $old),
            self::BOTH => $this->effect($value, 'add', ''),
            default => null,
        };

        return $this->says(...$parts)->doing($effect)->because($this->why($comparison, isset($decisions[$this->key])))->offering($choice);
    }

    private function says(string|Part ...$sentence): PlanLine
    {
        return PlanLine::telling($this->key, 'client' === $this->record ? 'Client' : 'Project', ...$sentence);
    }

    private function choice(Comparison $comparison, ?string $decided): Choice
    {
        $default = match ($comparison) {
            Comparison::ChangedByThem => self::REPLACE,
            Comparison::ChangedByUs => self::KEEP,
            Comparison::ChangedByBoth => null,
            default => $this->usual,
        };
        // Only an open question takes keys: what is settled is changed by pointing at it.
        $keys = null === $default ? ['1', '2', '3'] : ['', '', ''];
        $options = [
            ['value' => self::KEEP, 'hotkey' => $keys[0], 'label' => 'Keep'],
            ['value' => self::REPLACE, 'hotkey' => $keys[1], 'label' => 'Replace'],
            ...($this->canBoth ? [['value' => self::BOTH, 'hotkey' => $keys[2], 'label' => 'Keep both']] : []),
        ];

        return new Choice($this->key, $decided ?? $default, $options);
    }

    private function why(Comparison $comparison, bool $decided): string
    {
        return match (true) {
            $decided => 'your choice',
            Comparison::ChangedByThem === $comparison => 'changed by them',
            Comparison::ChangedByUs === $comparison => 'changed here meanwhile',
            Comparison::ChangedByBoth === $comparison => 'changed by them and here',
            default => 'on file already',
        };
    }

    /**
     * The value on file that a new one stands for: the one that was sent out, or else the first.
     *
     * @param non-empty-list<string>|list<string> $onFile
     * @param \Closure(string): string $plain
     */
    private function replaced(array $onFile, ?string $sent, \Closure $plain): string
    {
        foreach ($onFile as $one) {
            if (null !== $sent && $plain($one) === $plain($sent)) {
                return $one;
            }
        }

        return $onFile[0] ?? '';
    }

    private function effect(string $value, string $mode, string $old): SetField
    {
        return 'replace' === $mode ? SetField::instead($this->record, $this->field, $value, $old) : SetField::to($this->record, $this->field, $value);
    }

    private static function plain(string $text): string
    {
        return mb_strtolower(trim((string) preg_replace('/[\s,.]+/u', ' ', $text)));
    }
}

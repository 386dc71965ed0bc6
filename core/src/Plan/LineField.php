<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/** A value of a plan line that somebody may change before accepting. */
final readonly class LineField
{
    /** @param 'text'|'staff'|'day'|'stage' $kind */
    public function __construct(public string $key, public string $label, public string $kind, public string $value)
    {
    }

    /**
     * What may be changed of a line.
     *
     * @return list<self>
     */
    public static function of(PlanLine $line): array
    {
        $effect = $line->effect;

        return match ($effect?->kind) {
            EffectKind::AddTask => [new self('name', 'Task', 'text', $effect->text('name')), new self('assignee', 'Who', 'staff', $effect->text('assignee')), new self('due', 'By', 'day', $effect->text('due'))],
            EffectKind::OpenProject => [new self('title', 'Title', 'text', $effect->text('title')), new self('lead', 'Lead', 'staff', $effect->text('lead')), new self('stage', 'Stage', 'stage', $effect->text('stage'))],
            EffectKind::CreateClient => self::texts($effect, ['given' => 'Given name', 'family' => 'Family name', 'email' => 'Email', 'phone' => 'Phone', 'address' => 'Address']),
            EffectKind::CreateAsset => self::texts($effect, ['description' => 'What it is', 'serial' => 'Number', 'place' => 'Where']),
            EffectKind::AddContact => self::texts($effect, ['name' => 'Name', 'role' => 'Role', 'email' => 'Email', 'phone' => 'Phone']),
            EffectKind::AddWish => self::texts($effect, ['text' => 'Wish']),
            EffectKind::AddTags => [new self('tags', 'Tags, parted by commas', 'text', implode(', ', $effect->texts('tags')))],
            EffectKind::QueueMessage => self::texts($effect, ['to' => 'To']),
            EffectKind::SetField => [match (true) {
                \in_array($effect->text('field'), ['owner', 'lead'], true) => new self('value', 'Who', 'staff', $effect->text('value')),
                1 === preg_match('/^\d{4}-\d{2}-\d{2}$/', $effect->text('value')) => new self('value', 'Day', 'day', $effect->text('value')),
                default => new self('value', 'Value', 'text', $effect->text('value')),
            }],
            default => [],
        };
    }

    /**
     * @param array<string, string> $labels by value of the effect
     *
     * @return list<self>
     */
    private static function texts(Effect $effect, array $labels): array
    {
        return array_map(static fn (string $key, string $label): self => new self($key, $label, 'text', $effect->text($key)), array_keys($labels), array_values($labels));
    }
}

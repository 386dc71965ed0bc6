<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

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
            default => [],
        };
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/** A value of a plan line that somebody may change before accepting. */
final readonly class LineField
{
    /**
     * @param 'text'|'staff'|'day'|'stage' $kind how it is shown and typed
     * @param 'name'|'text'|'staff'|'stage'|'day'|'email'|'phone' $reads how what is typed is read
     */
    public function __construct(public string $key, public string $label, public string $kind, public string $value, public string $reads = 'text')
    {
    }

    /** @return array{key: string, label: string, kind: string, value: string} as in PlanLine of api/openapi.yaml */
    public function toArray(): array
    {
        return ['key' => $this->key, 'label' => $this->label, 'kind' => $this->kind, 'value' => $this->value];
    }
}

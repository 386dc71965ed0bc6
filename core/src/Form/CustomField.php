<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** A field that the business added to its clients, assets or projects. */
final readonly class CustomField
{
    /**
     * @param 'client'|'asset'|'project' $record
     * @param list<string> $choices what a choice offers
     */
    public function __construct(public string $record, public string $key, public string $label, public CustomKind $kind, public array $choices = [])
    {
    }

    /** As a question's destination names it. */
    public function name(): string
    {
        return "custom.{$this->record}.{$this->key}";
    }
}

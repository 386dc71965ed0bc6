<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Knows where templates are used. */
#[AutoconfigureTag('telamon.names_templates')]
interface NamesTemplates
{
    /** @return array<string, list<array{label: string, path: string}>> by key of the template */
    public function uses(): array;
}

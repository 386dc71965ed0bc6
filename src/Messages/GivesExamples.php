<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Fills the fields of a template from records that are there, so that one sees how it reads. */
#[AutoconfigureTag('telamon.gives_examples')]
interface GivesExamples
{
    public function purpose(): Purpose;

    /** @return list<array{id: string, label: string, path: string}> the newest first, at most twenty */
    public function records(): array;

    /** @return array<string, string>|null by field; null where the record is gone */
    public function values(string $id): ?array;
}

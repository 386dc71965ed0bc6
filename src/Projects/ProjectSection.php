<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** What an area lists of a project: it stands with the project in the API, under the area's name. */
#[AutoconfigureTag('telamon.project_section')]
interface ProjectSection
{
    /** The field of Project in the contract. */
    public static function name(): string;

    /** @return list<array<string, mixed>> not too many */
    public function ofProject(Project $project): array;
}

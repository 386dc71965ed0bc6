<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Something that a project may need before it comes to a stage; the room that knows it says so. */
#[AutoconfigureTag('telamon.stage_need')]
interface StageNeed
{
    public static function key(): string;

    /** “the agreement signed”. */
    public static function words(): string;

    public function isMet(Project $project): bool;
}

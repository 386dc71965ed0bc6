<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Telamon\Clients\Asset;
use Telamon\Effects\LastTouch;
use Telamon\Effects\Making;

/** The asset is known only after the project's line; they are joined once both are there. */
final readonly class AssetJoined implements LastTouch
{
    public function finish(Making $made): void
    {
        $project = $made->find(Project::class);
        if (null !== $project) {
            $project->isAbout($made->find(Asset::class));
        }
    }
}

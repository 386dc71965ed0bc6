<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\EffectKind;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;

/** Notes on a project what somebody wishes for: an appointment, a quote. */
final readonly class WishWriter implements EffectHandler
{
    public static function kinds(): array
    {
        return [EffectKind::AddWish];
    }

    public function write(Effect $effect, Making $made): array
    {
        $project = $made->the(Project::class);
        $project->wishes = [$effect->text('kind') => $effect->text('text')] + $project->wishes;

        return [$project];
    }
}

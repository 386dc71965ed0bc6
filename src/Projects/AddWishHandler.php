<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Telamon\Core\Effects\AddWish;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;

/**
 * Notes on a project what somebody wishes for: an appointment, a quote.
 *
 * @implements EffectHandler<AddWish>
 */
final readonly class AddWishHandler implements EffectHandler
{
    public static function of(): string
    {
        return AddWish::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof AddWish);
        $project = $made->the(Project::class);
        $project->wish($effect->kind, $effect->text);

        return [$project];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Effects;

use Telamon\Core\Plan\Effect;

/**
 * Carries an effect out that need not be possible when its time comes, and says why.
 *
 * @template-covariant E of Effect
 *
 * @extends EffectHandler<E>
 */
interface MayComeToNothing extends EffectHandler
{
    /** @return string why nothing would be done, in words; empty where it can be */
    public function against(Effect $effect, Making $made): string;
}

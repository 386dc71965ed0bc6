<?php

declare(strict_types=1);

namespace Telamon\Effects;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Telamon\Core\Plan\Effect;
use Telamon\Record\Journaled;

/**
 * Carries one kind of effect out.
 *
 * @template-covariant E of Effect
 */
#[AutoconfigureTag('telamon.effect_handler')]
interface EffectHandler
{
    /** @return class-string<E> what it carries out */
    public static function of(): string;

    /** @return list<Journaled> what was made, or is told as changed */
    public function write(Effect $effect, Making $made): array;
}

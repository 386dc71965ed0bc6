<?php

declare(strict_types=1);

namespace Telamon\Effects;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\EffectKind;
use Telamon\Record\Journaled;

/** Carries one kind of effect out. */
#[AutoconfigureTag('telamon.effect_handler')]
interface EffectHandler
{
    /** @return list<EffectKind> what it carries out */
    public static function kinds(): array;

    /** @return list<Journaled> what was made, or is told as changed */
    public function write(Effect $effect, Making $made): array;
}

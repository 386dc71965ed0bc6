<?php

declare(strict_types=1);

namespace Telamon\Effects;

use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\EffectKind;

/** Hands fields and tags to whoever keeps the record. */
final class FieldEffects implements EffectHandler
{
    /** @param iterable<FieldWriter> $writers */
    public function __construct(#[AutowireIterator('telamon.field_writer')] private iterable $writers)
    {
    }

    public static function kinds(): array
    {
        return [EffectKind::SetField, EffectKind::AddTags];
    }

    public function write(Effect $effect, Making $made): array
    {
        foreach ($this->writers as $writer) {
            if ($writer::record() === $effect->text('record')) {
                return EffectKind::SetField === $effect->kind ? $writer->set($effect->text('field'), $effect, $made) : $writer->tag($effect->texts('tags'), $made);
            }
        }
        throw new \LogicException("nobody writes fields of {$effect->text('record')}");
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Effects;

use Telamon\Core\Effects\SetField;
use Telamon\Core\Plan\Effect;

/**
 * Hands a field to whoever keeps the record.
 *
 * @implements EffectHandler<SetField>
 */
final readonly class SetFieldHandler implements EffectHandler
{
    public function __construct(private FieldWriters $writers)
    {
    }

    public static function of(): string
    {
        return SetField::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof SetField);

        return $this->writers->of($effect->record)->set($effect, $made);
    }
}

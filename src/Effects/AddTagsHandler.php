<?php

declare(strict_types=1);

namespace Telamon\Effects;

use Telamon\Core\Effects\AddTags;
use Telamon\Core\Plan\Effect;

/**
 * Hands tags to whoever keeps the record.
 *
 * @implements EffectHandler<AddTags>
 */
final readonly class AddTagsHandler implements EffectHandler
{
    public function __construct(private FieldWriters $writers)
    {
    }

    public static function of(): string
    {
        return AddTags::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof AddTags);

        return $this->writers->of($effect->record)->tag($effect->tags, $made);
    }
}

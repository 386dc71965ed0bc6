<?php

declare(strict_types=1);

namespace Telamon\Effects;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Telamon\Core\Effects\SetField;
use Telamon\Record\Journaled;

/** Writes single fields and tags of one kind of record. */
#[AutoconfigureTag('telamon.field_writer')]
interface FieldWriter
{
    /** The kind of record, as effects name it. */
    public static function record(): string;

    /** @return list<Journaled> what is told as changed */
    public function set(SetField $effect, Making $made): array;

    /**
     * @param list<string> $tags
     *
     * @return list<Journaled> what is told as changed
     */
    public function tag(array $tags, Making $made): array;
}

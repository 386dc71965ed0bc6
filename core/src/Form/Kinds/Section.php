<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

/** A heading between the questions. */
final class Section extends Telling
{
    public static function name(): string
    {
        return 'section';
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

/** A text between the questions, with a picture where there is one. */
final class Statement extends Telling
{
    public static function name(): string
    {
        return 'statement';
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Question;

/** From 0 to 10. */
final class Scale extends Steps
{
    public static function name(): string
    {
        return 'scale';
    }

    protected function bounds(Question $question): array
    {
        return ['0', '10'];
    }
}

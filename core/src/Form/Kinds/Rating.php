<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Question;

/** One to five stars. */
final class Rating extends Steps
{
    public static function name(): string
    {
        return 'rating';
    }

    protected function bounds(Question $question): array
    {
        return ['1', '5'];
    }
}

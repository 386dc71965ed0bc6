<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** A page of a form. */
final readonly class Page
{
    /** @param list<Question> $questions */
    public function __construct(public string $key, public string $title, public string $next, public array $questions)
    {
    }
}

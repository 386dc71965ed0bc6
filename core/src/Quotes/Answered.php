<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

/** An answer as far as it is priced by. */
final readonly class Answered
{
    /**
     * @param string $text as it reads
     * @param list<string> $values of the options that were chosen; none where there was no choice
     */
    public function __construct(public string $wording, public string $text, public array $values = [])
    {
    }
}

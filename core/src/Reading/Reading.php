<?php

declare(strict_types=1);

namespace Telamon\Core\Reading;

use Telamon\Core\Form\Question;

/** An answer turned into a typed value, with where it came from and its doubts. */
final readonly class Reading
{
    /**
     * @param string $text the answer as written, trimmed
     * @param string|list<string>|null $value normalised: E.164 phone, mail address, ISO 8601 day, option value,
     *                                        upload ids, text; null where nothing was answered or it is in doubt
     * @param list<string> $possible the values it may have, where there is more than one
     */
    public function __construct(
        public Question $question,
        public string $text,
        public string|array|null $value,
        public array $possible = [],
    ) {
    }

    public function isDoubtful(): bool
    {
        return \count($this->possible) > 1;
    }

    public function string(): string
    {
        return \is_string($this->value) ? $this->value : '';
    }
}

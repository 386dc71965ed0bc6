<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/** Words that say something. */
final readonly class Hit
{
    /**
     * @param float $sure 0 to 1
     * @param int $at where in the sentence, in bytes of the folded text
     */
    public function __construct(public Meaning $meaning, public string $words, public float $sure, public int $at)
    {
    }

    public function ends(): int
    {
        return $this->at + \strlen($this->words);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** One field of a submission beside the same field on file. */
final readonly class ComparedField
{
    public function __construct(
        public string $field,
        public string $here,
        public string $there,
        public bool $same,
        public string $verdict,
        public ?int $answer,
        /** log2 of how much likelier one person makes this than two do */
        public float $weight = 0.0,
    ) {
    }

    /** The same, with what the plan does about a difference. */
    public function doing(string $words): self
    {
        return 'differs' === $this->verdict ? new self($this->field, $this->here, $this->there, $this->same, $this->verdict.$words, $this->answer, $this->weight) : $this;
    }
}

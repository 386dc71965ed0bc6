<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Rules\Circumstances;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleOutcome;

/** The rules, what they may ask about, and what they say once it is known who the client is. */
final readonly class Ruling
{
    public function __construct(public RuleBook $book = new RuleBook(), public ?Circumstances $facts = null, public RuleOutcome $outcome = new RuleOutcome())
    {
    }

    public function saying(RuleOutcome $outcome): self
    {
        return new self($this->book, $this->facts, $outcome);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

use Telamon\Core\Condition\Facts;
use Telamon\Core\Time\DayOrder;

/** What a rule may ask about: the answers, and what is known beside them. */
final readonly class Circumstances
{
    /**
     * @param string $form the ending of its address
     * @param array<array-key, mixed> $answers by question key
     * @param array<string, string|list<string>> $beside what rooms declare: @client new, known or household;
     * @hours inside or outside; @finished yes or no
     */
    public function __construct(
        public string $form,
        private array $answers,
        private string $today,
        public DayOrder $order = DayOrder::Unstated,
        private array $beside = [],
        private Happening $happening = new Happening(),
    ) {
    }

    /** @param array<string, string|list<string>> $beside over those known before */
    public function with(array $beside): self
    {
        return new self($this->form, $this->answers, $this->today, $this->order, $beside + $this->beside, $this->happening);
    }

    /**
     * The same, where something else has happened.
     *
     * @param list<Trigger> $events
     * @param list<string> $what
     */
    public function after(array $events, array $what = [], bool $byHand = false): self
    {
        return new self($this->form, $this->answers, $this->today, $this->order, $this->beside, new Happening($events, $what, $byHand));
    }

    /** @param string $what any where empty */
    public function happened(Trigger $event, string $what, bool $alsoByHand): bool
    {
        return $this->happening->is($event, $what, $alsoByHand);
    }

    /** ISO 8601 day at the business. */
    public function today(): string
    {
        return $this->today;
    }

    public function facts(): Facts
    {
        return new Facts($this->beside + $this->answers, $this->today, $this->order, true);
    }
}

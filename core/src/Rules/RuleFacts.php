<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

use Telamon\Core\Condition\Facts;
use Telamon\Core\Form\DayOrder;

/** What a rule may ask about: the answers, and what is known beside them. */
final readonly class RuleFacts
{
    /** What can be asked about beside the answers; the sign keeps it apart from keys of questions. */
    public const BESIDE = ['@client', '@client_tags', '@channel', '@hours', '@files', '@campaign', '@finished'];

    /**
     * @param string $form the ending of its address
     * @param array<array-key, mixed> $answers by question key
     * @param array<string, string|list<string>> $beside by the names of BESIDE: client new, known or household;
     *                                                   hours inside or outside; finished yes or no
     */
    public function __construct(public string $form, private array $answers, private string $today, private DayOrder $order = DayOrder::Unstated, private array $beside = [])
    {
    }

    /** @param array<string, string|list<string>> $beside over those known before */
    public function with(array $beside): self
    {
        return new self($this->form, $this->answers, $this->today, $this->order, $beside + $this->beside);
    }

    /** ISO 8601 day at the business. */
    public function today(): string
    {
        return $this->today;
    }

    public function facts(): Facts
    {
        return new Facts($this->beside + $this->answers, $this->today, $this->order);
    }
}

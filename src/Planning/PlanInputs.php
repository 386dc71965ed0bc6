<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Psr\Clock\ClockInterface;
use Telamon\Business\BusinessFacts;
use Telamon\Business\OwnFields;
use Telamon\Core\Form\Purpose;
use Telamon\Core\Form\Readings;
use Telamon\Core\Matching\Candidate;
use Telamon\Core\Plan\SentBefore;
use Telamon\Core\Planning\PlanInput;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleFacts;
use Telamon\Messages\MessageQueue;

/** What the core needs to know of the business to plan anything: put beside what was read. */
final readonly class PlanInputs
{
    public function __construct(private BusinessFacts $facts, private MessageQueue $messages, private OwnFields $fields, private ClockInterface $clock)
    {
    }

    /**
     * @param list<Candidate> $candidates
     * @param list<SentBefore> $alreadySent
     * @param Readings|null $sent of what stood in the form when it was sent out
     * @param array<string, string> $merge fields for texts of rules
     */
    public function of(Readings $readings, array $candidates, array $alreadySent, RuleBook $book, ?RuleFacts $facts = null, ?Readings $sent = null, array $merge = [], Purpose $purpose = Purpose::Open): PlanInput
    {
        return new PlanInput(
            $readings,
            $candidates,
            $this->facts->services(),
            $this->facts->coordinator(),
            $this->facts->baseChecklist(),
            $this->facts->workingDays(),
            $this->facts->business()->assetWord,
            $this->messages->templateNames(),
            $alreadySent,
            $this->clock->now()->setTimezone($this->facts->zone()),
            $this->fields->byName(),
            $book,
            $facts,
            sent: $sent,
            merge: $merge,
            purpose: $purpose,
        );
    }
}

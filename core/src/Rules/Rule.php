<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

use Telamon\Core\Condition\Condition;
use Telamon\Core\Rules\Triggers\Received;

/** A handling rule: when a submission comes, and if something holds, then these things go into its plan. */
final readonly class Rule
{
    /**
     * @param list<string> $forms endings of the addresses of the forms it is for; all where empty
     * @param string $from ISO 8601 day from which it counts; empty for always
     * @param string $until ISO 8601 day up to which it counts; empty for ever
     * @param list<RuleAction> $actions
     * @param Trigger $when what sets it off
     * @param string $what of that: the stage, the task’s name, the client’s field; any where empty
     * @param bool $alsoByHand whether a task that somebody added by hand sets it off too
     * @param bool $acceptsByItself whether a plan with nothing open is accepted without anybody
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $forms,
        public ?Condition $if,
        public array $actions,
        public string $from = '',
        public string $until = '',
        public bool $acceptsByItself = false,
        public Trigger $when = new Received(),
        public string $what = '',
        public bool $alsoByHand = false,
    ) {
    }

    /** The same under another name: how a line tells what chose it. */
    public function called(string $name): self
    {
        return new self($this->id, $name, $this->forms, $this->if, $this->actions, $this->from, $this->until, $this->acceptsByItself, $this->when, $this->what, $this->alsoByHand);
    }

    public function appliesTo(Circumstances $facts): bool
    {
        $today = $facts->today();

        return $facts->happened($this->when, $this->what, $this->alsoByHand) && ([] === $this->forms || \in_array($facts->form, $this->forms, true))
            && ('' === $this->from || $today >= $this->from) && ('' === $this->until || $today <= $this->until)
            && (null === $this->if || $this->if->holds($facts->facts()));
    }
}

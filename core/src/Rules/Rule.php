<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

use Telamon\Core\Condition\Condition;

/** A handling rule: when a submission comes, and if something holds, then these things go into its plan. */
final readonly class Rule
{
    /**
     * @param list<string> $forms endings of the addresses of the forms it is for; all where empty
     * @param string $from ISO 8601 day from which it counts; empty for always
     * @param string $until ISO 8601 day up to which it counts; empty for ever
     * @param list<Action> $actions
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
    ) {
    }

    public function appliesTo(RuleFacts $facts): bool
    {
        $today = $facts->today();

        return ([] === $this->forms || \in_array($facts->form, $this->forms, true))
            && ('' === $this->from || $today >= $this->from) && ('' === $this->until || $today <= $this->until)
            && (null === $this->if || $this->if->holds($facts->facts()));
    }
}

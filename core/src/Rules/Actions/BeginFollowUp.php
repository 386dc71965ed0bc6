<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleField;

/** Begins a follow-up with the client. */
final readonly class BeginFollowUp implements RuleAction
{
    use Plain;

    private function __construct(public string $followUp)
    {
    }

    public static function name(): string
    {
        return 'follow-up';
    }

    public static function phrase(): string
    {
        return 'begin the follow-up';
    }

    public static function fields(): array
    {
        return [RuleField::choice('followUp', 'Follow-up', 'followUps')];
    }

    public static function read(ActionText $given): self
    {
        return new self($given->needed('followUp'));
    }

    public function gone(RuleBook $book): ?string
    {
        return \in_array($this->followUp, $book->followUps, true) ? null : 'a follow-up that is gone or switched off';
    }

    public function words(): string
    {
        return 'a follow-up';
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleField;

/** Sends whoever wrote one more message. */
final readonly class SendMessage implements RuleAction
{
    use Plain;

    private function __construct(public string $template)
    {
    }

    public static function name(): string
    {
        return 'message';
    }

    public static function phrase(): string
    {
        return 'send the client';
    }

    public static function fields(): array
    {
        return [RuleField::choice('template', 'Message', 'templates')];
    }

    public static function read(ActionText $given): self
    {
        return new self($given->needed('template'));
    }

    public function gone(RuleBook $book): ?string
    {
        return \in_array($this->template, $book->templates, true) ? null : 'a message that is gone';
    }

    public function words(): string
    {
        return 'one more message';
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Rules\RuleField;

/** Sends the client a link by which they choose a time. */
final readonly class LetChoose implements RuleAction
{
    use Plain;

    private function __construct(public string $page)
    {
    }

    public static function name(): string
    {
        return 'times';
    }

    public static function phrase(): string
    {
        return 'let the client choose a time, on the page';
    }

    public static function fields(): array
    {
        return [RuleField::line('page', 'Ending of the booking page')];
    }

    public static function read(ActionText $given): self
    {
        return new self($given->needed('page'));
    }

    public function words(): string
    {
        return 'a link to choose a time';
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Rules\RuleField;

/** Notes a wish for an appointment or a quote. */
final readonly class NoteWish implements RuleAction
{
    use Plain;

    private function __construct(public string $about, public string $text)
    {
    }

    public static function name(): string
    {
        return 'wish';
    }

    public static function phrase(): string
    {
        return 'wish for';
    }

    public static function fields(): array
    {
        return [RuleField::oneOf('about', 'About', ['appointment' => 'an appointment', 'quote' => 'a quote'])->in('…:'), RuleField::wide('text', 'Wish')];
    }

    public static function read(ActionText $given): self
    {
        return new self($given->oneOf('about', ['appointment', 'quote'], 'Choose an appointment or a quote.'), $given->needed('text'));
    }

    public function words(): string
    {
        return "a wish for the {$this->about}";
    }

    public function needsProject(): bool
    {
        return true;
    }

    public function texts(): array
    {
        return [$this->text];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Rules\RuleField;

/** Notes something on the project. */
final readonly class WriteNote implements RuleAction
{
    use Plain;

    private function __construct(public string $text)
    {
    }

    public static function name(): string
    {
        return 'note';
    }

    public static function phrase(): string
    {
        return 'note in the project';
    }

    public static function fields(): array
    {
        return [RuleField::wide('text', 'Note')];
    }

    public static function read(ActionText $given): self
    {
        return new self($given->needed('text'));
    }

    public function words(): string
    {
        return 'a note';
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

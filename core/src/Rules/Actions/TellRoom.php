<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleField;

/** Writes on the notice board, in a room. */
final readonly class TellRoom implements RuleAction
{
    use Plain;

    private function __construct(public string $room, public string $text)
    {
    }

    public static function name(): string
    {
        return 'room';
    }

    public static function phrase(): string
    {
        return 'tell the room';
    }

    public static function fields(): array
    {
        return [RuleField::choice('room', 'Room', 'rooms'), RuleField::wide('text', 'Notice')];
    }

    public static function read(ActionText $given): self
    {
        return new self($given->needed('room'), $given->needed('text'));
    }

    public function gone(RuleBook $book): ?string
    {
        return \in_array($this->room, $book->rooms, true) ? null : 'a room that is gone';
    }

    public function words(): string
    {
        return 'a notice in a room';
    }

    public function texts(): array
    {
        return [$this->text];
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Rules\RuleField;

/** Books the time that is free and nearest to what the client wished for. */
final readonly class HoldNearest implements RuleAction
{
    use Plain;

    private function __construct(public string $visit)
    {
    }

    public static function name(): string
    {
        return 'hold';
    }

    public static function phrase(): string
    {
        return 'book the free time nearest to what was wished for, of the kind of visit';
    }

    public static function fields(): array
    {
        return [RuleField::line('visit', 'Ending of the kind of visit')];
    }

    public static function read(ActionText $given): self
    {
        return new self($given->needed('visit'));
    }

    public function words(): string
    {
        return 'a time that is free';
    }
}

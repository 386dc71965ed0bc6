<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Rules\RuleField;
use Telamon\Core\Rules\SetOff;
use Telamon\Core\Rules\Triggers\ClientChanged;

/** Tags the client or the project. */
final readonly class TagRecord implements RuleAction
{
    use Plain;

    private function __construct(public string $record, public string $tag)
    {
    }

    public static function name(): string
    {
        return 'tag';
    }

    public static function phrase(): string
    {
        return 'tag';
    }

    public static function fields(): array
    {
        return [RuleField::oneOf('record', 'Record', ['project' => 'the project', 'client' => 'the client']), RuleField::text('tag', 'Tag')];
    }

    public static function read(ActionText $given): self
    {
        return new self($given->oneOf('record', ['client', 'project'], 'Choose client or project.'), $given->needed('tag'));
    }

    public function words(): string
    {
        return "the tag “{$this->tag}” on the {$this->record}";
    }

    public function needsProject(): bool
    {
        return 'client' !== $this->record;
    }

    public function texts(): array
    {
        return [$this->tag];
    }

    public function setsOff(): ?SetOff
    {
        return 'client' === $this->record ? new SetOff(ClientChanged::class, 'tags') : null;
    }
}

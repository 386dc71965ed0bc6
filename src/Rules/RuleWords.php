<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Telamon\Core\Rules\ActionKind;

/** Says in words what a rule does. */
final class RuleWords
{
    /** @param array<array-key, mixed> $action as stored */
    public static function of(array $action): string
    {
        $text = static fn (string $name): string => \is_scalar($action[$name] ?? null) ? (string) $action[$name] : '';

        return match (ActionKind::tryFrom($text('kind'))) {
            ActionKind::Lead => 'another lead',
            ActionKind::Checklist => 'one more checklist',
            ActionKind::Task => "the task “{$text('name')}”",
            ActionKind::Tag => "the tag “{$text('tag')}” on the {$text('record')}",
            ActionKind::Stage => "the stage {$text('stage')}",
            ActionKind::Note => 'a note',
            ActionKind::Notice => 'a notice',
            ActionKind::Owner => 'an owner of the client',
            ActionKind::Field => "{$text('field')} of the {$text('record')}",
            ActionKind::Wish => "a wish for the {$text('about')}",
            ActionKind::Message => 'one more message',
            null => '',
        };
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Setup;

/** The checklist that every installation begins with, and may change. */
final class StarterChecklists
{
    /** @return array<string, mixed> as ChecklistReader reads it */
    public static function base(): array
    {
        $due = static fn (int $days): array => ['from' => 'accepted', 'amount' => $days, 'unit' => 'days'];

        return ['key' => 'onboarding', 'name' => 'Onboarding', 'purpose' => 'What every new project begins with.', 'items' => [
            ['key' => 'first_talk', 'name' => 'First talk', 'doer' => 'coordinator', 'takes' => 1, 'effort' => 20, 'due' => $due(1)],
            ['key' => 'agreement', 'name' => 'Send the agreement', 'doer' => 'coordinator', 'takes' => 1, 'effort' => 15, 'due' => $due(3), 'waitsFor' => ['first_talk']],
            ['key' => 'preparation', 'name' => 'Send the preparation form', 'doer' => 'coordinator', 'takes' => 0, 'effort' => 10, 'due' => $due(4), 'waitsFor' => ['agreement']],
            ['key' => 'deposit', 'name' => 'Ask for the deposit', 'doer' => 'coordinator', 'takes' => 1, 'effort' => 10, 'due' => $due(5), 'waitsFor' => ['agreement']],
        ]];
    }
}

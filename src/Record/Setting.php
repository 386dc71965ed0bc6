<?php

declare(strict_types=1);

namespace Telamon\Record;

/** What every part of the settings says of itself: it is told as part of the business, and shown in Setup. */
trait Setting
{
    public function recordKind(): string
    {
        return 'business';
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return '/setup';
    }

    public function recordContext(): array
    {
        return ['client' => null, 'project' => null];
    }
}

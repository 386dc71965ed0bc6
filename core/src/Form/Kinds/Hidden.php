<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\CustomKind;
use Telamon\Core\Form\Destination;

/** A value that the page brings with it; nobody sees it. */
final class Hidden extends Written
{
    public static function name(): string
    {
        return 'hidden';
    }

    public function destinations(): array
    {
        return [Destination::ClientTags, Destination::ProjectService, Destination::ProjectTags, Destination::ProjectNotes];
    }

    public function customKinds(): array
    {
        return [CustomKind::Text, CustomKind::Choice];
    }

    public function fitsInLines(): bool
    {
        return false;
    }

    public function carries(): bool
    {
        return false;
    }

    public function isShown(): bool
    {
        return false;
    }
}

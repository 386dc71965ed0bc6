<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Counting;
use Telamon\Core\Form\CustomKind;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Question;

/** A box to tick. */
final class Consent extends Written
{
    public static function name(): string
    {
        return 'consent';
    }

    public function destinations(): array
    {
        return [Destination::ClientConsent, Destination::ProjectNotes];
    }

    public function longest(): int
    {
        return 10;
    }

    public function customKinds(): array
    {
        return [CustomKind::YesNo];
    }

    public function fitsInLines(): bool
    {
        return false;
    }

    public function carries(): bool
    {
        return false;
    }

    /** Nobody gives it for somebody else. */
    public function corrected(string $text): null
    {
        return null;
    }

    public function counting(): Counting
    {
        return Counting::Choices;
    }

    public function offered(Question $question): array
    {
        return ['yes'];
    }

    public function labelOf(Question $question, string $value): string
    {
        return 'Given';
    }

    protected function told(Question $question, string $answer): string
    {
        return 'yes' === $answer ? 'Given' : $answer;
    }

    protected function missing(): string
    {
        return 'We need your consent for this.';
    }

    protected function wrong(Question $question, string $text, Asking $at): ?string
    {
        return 'yes' === $text ? null : 'Tick the box, or leave it.';
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Question;

/** A name that is signed. */
final class Signature extends InParts
{
    public static function name(): string
    {
        return 'signature';
    }

    public function destinations(): array
    {
        return [];
    }

    public function customKinds(): array
    {
        return [];
    }

    /** What somebody signed stays as it is. */
    public function corrected(string $text): null
    {
        return null;
    }

    public function parts(): array
    {
        return ['name', 'how', 'image'];
    }

    public function files(): int
    {
        return 1;
    }

    public function carries(): bool
    {
        return false;
    }

    public function text(Question $question, mixed $answer): string
    {
        $name = self::part($answer, 'name');

        return '' === $name ? '' : "Signed by $name".('drawn' === self::part($answer, 'how') ? ', drawn' : ', by typing the name');
    }

    protected function names(): array
    {
        return [];
    }

    protected function needed(): array
    {
        return ['name'];
    }

    protected function written(): array
    {
        return ['name'];
    }

    protected function missing(): string
    {
        return 'Sign here: write your name, then draw or confirm it.';
    }

    protected function wrong(Question $question, array $given, Asking $at): ?string
    {
        $how = $given['how'] ?? '';

        return !\in_array($how, ['drawn', 'typed'], true) || ('drawn' === $how && '' === ($given['image'] ?? ''))
            ? 'Draw your signature, or say that your typed name is it.'
            : null;
    }
}

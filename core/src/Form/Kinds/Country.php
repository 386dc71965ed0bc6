<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Symfony\Component\Intl\Countries;
use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Counting;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\Readers;
use Telamon\Core\Form\Reading;
use Telamon\Core\Text\Fold;
use Telamon\Core\Time\DayOrder;

/**
 * A country by its code of ISO 3166-1 alpha-2, told by its English name in the Unicode CLDR (symfony/intl). Answers may
 * also be the name or the alpha-3 code.
 */
final class Country extends Written
{
    private const LANGUAGE = 'en';

    /** @var array<string, string>|null codes by folded name */
    private static ?array $codes = null;

    public static function name(): string
    {
        return 'country';
    }

    public function destinations(): array
    {
        return [Destination::ProjectNotes, Destination::ClientNotes];
    }

    public function counting(): Counting
    {
        return Counting::Choices;
    }

    public function labelOf(Question $question, string $value): string
    {
        return $this->told($question, $value);
    }

    public function meant(Question $question, mixed $answer): mixed
    {
        return \is_string($answer) ? self::code($answer) ?? $answer : $answer;
    }

    public function read(Question $question, mixed $answer, DayOrder $order, Readers $by, int $line = 0): ?Reading
    {
        $text = trim($this->text($question, $answer));

        return '' === $text ? null : new Reading($question, $text, self::code($text) ?? $text, [], $line);
    }

    public function counted(Question $question, mixed $answer): array
    {
        return array_map(static fn (string $text): string => self::code($text) ?? $text, parent::counted($question, $answer));
    }

    protected function told(Question $question, string $answer): string
    {
        $code = self::code($answer);

        return null === $code ? $answer : Countries::getName($code, self::LANGUAGE);
    }

    protected function missing(): string
    {
        return 'Choose one.';
    }

    protected function wrong(Question $question, string $text, Asking $at): ?string
    {
        return null === self::code($text) ? 'Choose a country from the list.' : null;
    }

    /** @return string|null ISO 3166-1 alpha-2; null where no country is meant */
    private static function code(string $text): ?string
    {
        $code = strtoupper(trim($text));
        if (Countries::exists($code)) {
            return $code;
        }
        if (Countries::alpha3CodeExists($code)) {
            return Countries::getAlpha2Code($code);
        }
        self::$codes ??= array_flip(array_map(Fold::text(...), Countries::getNames(self::LANGUAGE)));

        return self::$codes[Fold::text($text)] ?? null;
    }
}

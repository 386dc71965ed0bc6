<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** Says in words what two records agree in. */
final class FieldWords
{
    /** “same name, same mail, phone nearly the same”: what speaks most for one person first, three at most. */
    public static function agreeing(Judgement $judgement): string
    {
        $weights = array_filter($judgement->weights, static fn (float $weight): bool => $weight > 1);
        arsort($weights);
        $names = [
            Field::Given->value => 'given name',
            Field::Family->value => 'family name',
            Field::Email->value => 'mail',
            Field::Phone->value => 'phone',
            Field::Address->value => 'address',
            Field::Area->value => 'area',
            Field::Organisation->value => 'organisation',
        ];
        $words = [];
        foreach (array_keys($weights) as $field) {
            $level = $judgement->levels[$field];
            if (isset($names[$field]) && $level->agrees()) {
                $words[] = Level::Same === $level || Level::Shared === $level ? $names[$field] : "{$names[$field]} ".self::level($level);
            }
        }

        return [] === $words ? '' : 'same '.implode(', ', \array_slice($words, 0, 3));
    }

    public static function level(Level $level): string
    {
        return match ($level) {
            Level::Same => 'same',
            Level::Shared => 'same, shared by several',
            Level::Form => 'a form of the same name',
            Level::Near => 'nearly',
            Level::Initial => 'by its initial',
            Level::Part => 'in part',
            Level::Town => 'same town',
            Level::LocalPart => 'same before the @',
            Level::Other => 'alike, but another name',
            Level::Different => 'differs',
            Level::Missing => 'not on file',
        };
    }

    /** A whole per cent, never rounded up to certainty. */
    public static function percent(float $probability): string
    {
        return ($probability > 0.99 ? 'over 99' : (string) (int) round(100 * $probability)).' %';
    }
}

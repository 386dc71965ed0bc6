<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Form\Kinds\NameParts;

/** What is on file already, as answers to a form: nobody is asked twice. Only what a field can hold as it stands. */
final class OnFileAnswers
{
    /**
     * @param array<string, string> $values by the name of the place, “client.email”, “custom.client.steps”
     * @param array{string, string} $name given and family name
     *
     * @return array<string, string|array<string, string>> by question key
     */
    public static function to(FormDefinition $form, array $values, array $name): array
    {
        $answers = [];
        $given = [];
        foreach ($form->questions() as $question) {
            $place = ($question->destination->value ?? '').('' === $question->customField ? '' : ".{$question->customField}");
            // The first question of a place has it; another one asks for something beside it.
            if (null === $question->destination || isset($given[$place])) {
                continue;
            }
            $answer = match (true) {
                Destination::ClientName === $question->destination && $question->type instanceof NameParts => array_filter(
                    ['given' => $name[0], 'family' => $name[1]],
                    static fn (string $part): bool => '' !== $part,
                ),
                Destination::ClientName === $question->destination => trim(implode(' ', $name)),
                default => self::fitting($question, $values[$place] ?? ''),
            };
            if ('' !== $answer && [] !== $answer) {
                $answers[$question->key] = $answer;
                $given[$place] = true;
            }
        }

        return $answers;
    }

    /** The value as the question takes it; empty where it does not. */
    private static function fitting(Question $question, string $value): string
    {
        if ('' === $value) {
            return '';
        }
        if ($question->type->offersOptions()) {
            return ChoiceReader::read($question, $value) ?? '';
        }

        return [] === $question->lines && 0 === $question->type->files() && mb_strlen($value) <= $question->maxLength && !$question->type instanceof Kinds\InParts ? $value : '';
    }
}

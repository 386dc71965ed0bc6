<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** A form that goes to somebody who is known: what of it need not be asked again. */
final class KnownAsker
{
    private const KNOWN = [Destination::ClientName, Destination::ClientEmail];

    /**
     * The answers that are on file to who they are. A question that others hang on is asked all the same: the browser,
     * which never sees these answers, has to decide what it shows.
     *
     * @param array<string, string> $values as OnFileAnswers takes them
     * @param array{string, string} $name given and family name
     *
     * @return array<string, string|array<string, string>> by question key; empty where nothing else would be asked
     */
    public static function answers(FormDefinition $form, array $values, array $name): array
    {
        $hungOn = [];
        foreach ($form->questions() as $question) {
            array_push($hungOn, ...($question->showIf?->questions() ?? []), ...($question->requiredIf?->questions() ?? []));
        }
        $known = array_filter(
            $form->questions(),
            static fn (Question $question): bool => \in_array($question->destination, self::KNOWN, true) && !$question->staffOnly && null === $question->showIf && !\in_array($question->key, $hungOn, true),
        );
        $answers = array_intersect_key(OnFileAnswers::to($form, $values, $name), array_flip(array_map(static fn (Question $question): string => $question->key, $known)));
        $left = array_filter(
            $form->questions(),
            static fn (Question $question): bool => !$question->staffOnly && !isset($answers[$question->key]) && $question->type->asks() && $question->type->isShown(),
        );

        return [] === $left ? [] : $answers;
    }
}

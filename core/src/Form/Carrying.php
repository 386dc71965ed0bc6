<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** What one form asked that another asks too: by where the answers go, never by how their questions happen to be called. */
final class Carrying
{
    /**
     * @param array<string, mixed> $answers to the first form
     *
     * @return array<string, mixed> answers by the other form's question keys; files, signatures and consents stay with what brought them
     */
    public static function between(FormDefinition $from, array $answers, FormDefinition $to): array
    {
        $carried = [];
        foreach ($to->questions() as $question) {
            if (null === $question->destination || $question->staffOnly) {
                continue;
            }
            foreach ($from->questions() as $source) {
                $isSame = $source->destination === $question->destination && $source->customField === $question->customField && $source->type === $question->type;
                $answer = $isSame && isset($answers[$source->key]) && $source->type->carries() ? self::fitting($source, $answers[$source->key], $question) : null;
                if (null !== $answer) {
                    $carried[$question->key] = $answer;
                    break;
                }
            }
        }

        return $carried;
    }

    /** The answer as the other question takes it; null where it does not. Choices are known again by their words. */
    private static function fitting(Question $source, mixed $answer, Question $question): mixed
    {
        if (!$question->type->offersOptions()) {
            return $answer;
        }
        $choice = static fn (mixed $one): ?string => \is_string($one) ? ChoiceReader::read($question, $source->labelOf($one)) : null;
        if (!\is_array($answer)) {
            return $choice($answer);
        }
        $choices = array_map($choice, $answer);

        return \in_array(null, $choices, true) ? null : array_values($choices);
    }
}

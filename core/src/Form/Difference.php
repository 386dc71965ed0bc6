<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** What changed between two versions of a form, in words. Questions are known again by their keys. */
final class Difference
{
    /** @return list<string> empty when nothing did */
    public static function words(FormDefinition $before, FormDefinition $after): array
    {
        $words = [];
        foreach ([
            'title' => 'the title',
            'intro' => 'the introduction',
            'thanks' => 'the thanks',
            'privacy' => 'the note on privacy',
            'promiseMinutes' => 'the promise to answer',
            'dayOrder' => 'the order of day and month',
            'checkPage' => 'the page to check',
            'copy' => 'the copy of the answers',
            'purpose' => 'what its submissions do',
            'tell' => 'who is told at once',
        ] as $property => $name) {
            if ($before->{$property} !== $after->{$property}) {
                $words[] = "$name changed";
            }
        }
        [$old, $new] = [self::byKey($before), self::byKey($after)];
        foreach ($old as $key => $question) {
            if (!isset($new[$key])) {
                $words[] = "“{$question->wording}” is taken out";
            }
        }
        foreach ($new as $key => $question) {
            $words = [...$words, ...(isset($old[$key]) ? self::question($old[$key], $question) : ["“{$question->wording}” is added as question {$question->number}"])];
        }
        $stay = static fn (array $keys, array $in): array => array_values(array_filter($keys, static fn (string $key): bool => isset($in[$key])));
        if ($stay(array_keys($old), $new) !== $stay(array_keys($new), $old)) {
            $words[] = 'questions stand in another order';
        }
        if (array_map(static fn (Page $page): string => $page->title, $before->pages) !== array_map(static fn (Page $page): string => $page->title, $after->pages)) {
            $words[] = 'the pages changed';
        }
        if (self::plain($before->endings) !== self::plain($after->endings)) {
            $words[] = 'the endings changed';
        }

        return $words;
    }

    /** @return list<string> */
    private static function question(Question $before, Question $after): array
    {
        $words = [];
        $name = "“{$after->wording}”";
        if ($before->wording !== $after->wording) {
            $words[] = "“{$before->wording}” now reads $name";
        }
        if ($before->type !== $after->type) {
            $words[] = "$name takes another kind of answer";
        }
        if ($before->required !== $after->required) {
            $words[] = "$name is ".($after->required ? 'needed now' : 'not needed any more');
        }
        if (self::plain($before->options) !== self::plain($after->options)) {
            $words[] = "$name offers other answers";
        }
        if ($before->raw !== $after->raw) {
            $words[] = "$name is asked on another condition";
        }
        if ($before->staffOnly !== $after->staffOnly) {
            $words[] = "$name is ".($after->staffOnly ? 'for staff only now' : 'for everybody now');
        }
        if (self::plain($before->lines) !== self::plain($after->lines)) {
            $words[] = "$name asks other things a line";
        }
        if ($before->default !== $after->default) {
            $words[] = "$name begins with another answer";
        }
        if ([$before->destination, $before->customField] !== [$after->destination, $after->customField]) {
            $words[] = "$name goes somewhere else";
        }
        if ([$before->hint, $before->example] !== [$after->hint, $after->example]) {
            $words[] = "$name has another hint";
        }
        if (
            self::plain($before->checks) !== self::plain($after->checks)
            || [
                $before->maxLength,
                $before->maxFiles,
                $before->maxBytes,
                $before->fileKinds,
                $before->maxLines,
            ] !== [$after->maxLength, $after->maxFiles, $after->maxBytes, $after->fileKinds, $after->maxLines]
        ) {
            $words[] = "$name is checked otherwise";
        }
        if (self::plain($before->points) !== self::plain($after->points)) {
            $words[] = "$name counts otherwise towards priority";
        }
        if ($before->picture !== $after->picture) {
            $words[] = "$name shows another picture";
        }

        return $words;
    }

    /** @return array<string, Question> */
    private static function byKey(FormDefinition $form): array
    {
        return array_column($form->questions(), null, 'key');
    }

    private static function plain(mixed $value): string
    {
        return serialize($value);
    }
}

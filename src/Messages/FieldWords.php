<?php

declare(strict_types=1);

namespace Telamon\Messages;

/** What people call the fields that a message may name, and an example of each, where the business has no word of its own ({@see OwnWords}). */
final class FieldWords
{
    private const WORDS = [
        'first_name' => ['first name', 'Anna'],
        'client' => ['client', 'Anna Hill'],
        'service' => ['project’s title', 'A first visit'],
        'service_words' => ['what the service says', 'It takes two hours.'],
        'asset' => ['what it is about', 'The one in the hall'],
        'place' => ['place', '3 Mill Row'],
        'project' => ['project’s number', 'P-0194'],
        'reference' => ['reference', 'A-0409'],
        'lead' => ['who leads', 'Anna Hill'],
        'coordinator' => ['coordinator', 'Anna Hill'],
        'ready_by' => ['ready by', 'Thu 26 March'],
        'notes' => ['notes', 'The lift is being mended.'],
        'why' => ['why', 'an urgent inquiry'],
        'phone' => ['client’s phone', '020 910 0456'],
        'link' => ['link', 'https://telamon.example/open/1'],
        'answers' => ['answers', "Which one?\nThe one in the hall."],
        'form' => ['form', 'About yourself'],
        'visit' => ['visit', 'First visit'],
        'when' => ['when', 'Thursday 26 March, 10:00 to 11:00'],
        'when_here' => ['when, by our clock', 'Thursday 26 March, 09:00'],
        'with' => ['with whom', 'Anna Hill'],
        'says' => ['what the type says', 'Please keep the way free.'],
        'price' => ['price', '€85.00'],
        'until' => ['kept until', 'Friday 27 March, 12:00'],
        'count' => ['how many', '4'],
        'dates' => ['all times', 'When: Thursday 26 March, 10:00'],
        'notices' => ['notices', 'Van and moving: the lift is being mended.'],
        'words' => ['what they wrote', 'Could you come a day later?'],
        'quote' => ['quote', 'Q-0227'],
        'total' => ['total', '€389.30'],
        'deposit' => ['deposit', '€116.79'],
        'deposit_due' => ['whether a deposit is due', 'yes'],
        'valid_until' => ['good until', 'Sunday 5 April 2026'],
        'what' => ['what happened', 'is accepted'],
        'question' => ['question', 'Is the way there included?'],
        'address' => ['client’s address', '8 Orchard Row'],
        'title' => ['title', 'Agreement on the work'],
        'today' => ['today', '24 March 2026'],
        'business' => ['business', 'Our business'],
        'business_phone' => ['our phone', '020 910 0100'],
        'signature' => ['signature', "Anna Hill\nOur business"],
    ];

    /** @return array{name: string, label: string, example: string} as MergeField in the contract */
    public static function of(string $name): array
    {
        [$label, $example] = self::WORDS[$name] ?? [str_replace('_', ' ', $name), ''];

        return ['name' => $name, 'label' => $label, 'example' => $example];
    }

    public static function label(string $name): string
    {
        return self::of($name)['label'];
    }

    /** Where somebody who writes by hand has to write what nothing fills. */
    public static function place(string $name): string
    {
        return '['.self::label($name).']';
    }

    /** @return string|null the first place in a text that nobody has written in; null where there is none */
    public static function openPlace(string $text): ?string
    {
        foreach (array_keys(self::WORDS) as $name) {
            if (str_contains($text, self::place($name))) {
                return self::place($name);
            }
        }

        return null;
    }

    /**
     * @param list<string> $names
     *
     * @return array<string, string> an example of each
     */
    public static function examples(array $names): array
    {
        return array_combine($names, array_map(static fn (string $name): string => self::of($name)['example'], $names));
    }
}

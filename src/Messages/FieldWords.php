<?php

declare(strict_types=1);

namespace Telamon\Messages;

/** What people call the fields that a message may name, and an example of each from the demo workshop. */
final class FieldWords
{
    private const WORDS = [
        'first_name' => ['first name', 'Anna'],
        'client' => ['client', 'Marsh End Choir'],
        'service' => ['project’s title', 'Tuning, Corvane grand'],
        'service_words' => ['what the service says', 'A tuning takes two hours.'],
        'asset' => ['piano', 'Corvane grand'],
        'place' => ['place', 'Quarry Hall, Dunmarl'],
        'project' => ['project’s number', 'P-0194'],
        'reference' => ['reference', 'A-0409'],
        'lead' => ['who leads', 'Sorcha Vell'],
        'coordinator' => ['coordinator', 'Nessa Quarle'],
        'ready_by' => ['ready by', 'Thu 26 March'],
        'notes' => ['notes', 'The lift is being mended.'],
        'why' => ['why', 'an urgent inquiry'],
        'phone' => ['client’s phone', '020 910 0456'],
        'link' => ['link', 'https://telamon.example/open/1'],
        'answers' => ['answers', "Which piano?\nThe upright in the hall."],
        'visit' => ['visit', 'First visit'],
        'when' => ['when', 'Thursday 26 March, 10:00 to 11:00'],
        'when_here' => ['when, by our clock', 'Thursday 26 March, 09:00'],
        'with' => ['with whom', 'Sorcha Vell'],
        'says' => ['what the type says', 'Please clear the lid.'],
        'price' => ['price', '€85.00'],
        'until' => ['kept until', 'Friday 27 March, 12:00'],
        'count' => ['how many', '4'],
        'dates' => ['all times', 'When: Thursday 26 March, 10:00'],
        'notices' => ['notices', 'Van and moving: the lift at Quarry Hall is being mended.'],
        'words' => ['what they wrote', 'Could you come a day later?'],
        'quote' => ['quote', 'Q-0227'],
        'total' => ['total', '€389.30'],
        'deposit' => ['deposit', '€116.79'],
        'deposit_due' => ['whether a deposit is due', 'yes'],
        'valid_until' => ['good until', 'Sunday 5 April 2026'],
        'what' => ['what happened', 'is accepted'],
        'question' => ['question', 'Is the stool included?'],
        'address' => ['client’s address', '8 Orchard Row, Dunmarl'],
        'title' => ['title', 'Agreement on the voicing'],
        'today' => ['today', '24 March 2026'],
        'business' => ['business', 'Marrowby Piano Workshop'],
        'business_phone' => ['our phone', '020 910 0100'],
        'signature' => ['signature', "Nessa Quarle\nMarrowby Piano Workshop, 020 910 0100"],
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

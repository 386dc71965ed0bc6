<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;

/** Forms to begin with, each good enough to publish as it is. */
final class Starters
{
    private const YOU = [
        ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
        ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
        ['key' => 'phone', 'type' => 'phone', 'wording' => 'Phone', 'hint' => 'if you would like a call', 'destination' => 'client.phone'],
    ];

    /** @return list<array{key: string, title: string, about: string}> */
    public function names(): array
    {
        return [
            ['key' => 'inquiry', 'title' => 'Inquiry', 'about' => 'Who writes, what it is about, photographs.'],
            ['key' => 'short-inquiry', 'title' => 'Short inquiry', 'about' => 'Name, email and one line. Can carry on with a longer form.'],
            ['key' => 'booking', 'title' => 'Booking request', 'about' => 'What, by which day, at what time of day.'],
            ['key' => 'intake', 'title' => 'Intake', 'about' => 'What you need to know before the work begins.'],
            ['key' => 'feedback', 'title' => 'Feedback', 'about' => 'A score, a reason, and whether you may show it.'],
            ['key' => 'visit-report', 'title' => 'Visit report', 'about' => 'What was done, what is left, photographs.'],
        ];
    }

    /**
     * @return array<string, mixed>
     *
     * @throws Refusal when there is no such starter
     */
    public function definition(string $key): array
    {
        return match ($key) {
            'inquiry' => self::frame('A person reads this and answers.', 240, [
                self::page('you', 'You', 'Next', self::YOU),
                self::page('wish', 'Your wish', 'Send', [
                    ['key' => 'matter', 'type' => 'long-text', 'wording' => 'What can we do for you?', 'required' => true, 'destination' => 'project.notes'],
                    [
                        'key' => 'wanted_by',
                        'type' => 'day',
                        'wording' => 'Must it be ready for a day?',
                        'hint' => 'leave empty if not',
                        'example' => '12 June 2027',
                        'destination' => 'project.ready_by',
                    ],
                    ['key' => 'photos', 'type' => 'files', 'wording' => 'Photographs', 'hint' => 'up to 8', 'destination' => 'files'],
                    [
                        'key' => 'found_us',
                        'type' => 'one-of',
                        'wording' => 'How did you find us?',
                        'destination' => 'client.tags',
                        'options' => self::options(['friend' => 'Through somebody', 'search' => 'Searching', 'other' => 'Otherwise']),
                    ],
                    ['key' => 'found_us_who', 'type' => 'short-text', 'wording' => 'Through whom?', 'showIf' => ['question' => 'found_us', 'op' => 'is', 'value' => 'friend']],
                ]),
            ]),
            'short-inquiry' => self::frame('Half a minute. We ask for the rest later.', 120, [
                self::page(
                    'you',
                    'You',
                    'Send',
                    [
                        self::YOU[0],
                        self::YOU[1],
                        ['key' => 'matter', 'type' => 'short-text', 'wording' => 'What is it about?', 'required' => true, 'destination' => 'project.notes'],
                    ],
                ),
            ]),
            'booking' => self::frame('We answer with a day and a time.', 240, [
                self::page('you', 'You', 'Next', self::YOU),
                self::page('when', 'When', 'Ask for a day', [
                    ['key' => 'what', 'type' => 'short-text', 'wording' => 'What shall we do?', 'required' => true, 'destination' => 'project.service'],
                    [
                        'key' => 'by',
                        'type' => 'day',
                        'wording' => 'By which day?',
                        'example' => '12 June 2027',
                        'min' => 'today+1',
                        'destination' => 'project.ready_by',
                        'half' => true,
                    ],
                    [
                        'key' => 'time',
                        'type' => 'one-of',
                        'wording' => 'At what time of day?',
                        'half' => true,
                        'destination' => 'appointment.wish',
                        'options' => self::options(['morning' => 'Mornings', 'afternoon' => 'Afternoons', 'any' => 'Any time']),
                    ],
                    ['key' => 'place', 'type' => 'address-parts', 'wording' => 'Where?', 'destination' => 'asset.place'],
                    ['key' => 'access', 'type' => 'yes-no', 'wording' => 'Are there stairs?'],
                    [
                        'key' => 'stairs',
                        'type' => 'number',
                        'wording' => 'How many floors up?',
                        'min' => '0',
                        'max' => '40',
                        'showIf' => ['question' => 'access', 'op' => 'is', 'value' => 'yes'],
                    ],
                ]),
            ]),
            'intake' => self::frame('So that we come prepared.', 480, [
                self::page('you', 'You', 'Next', self::YOU),
                self::page('thing', 'The work', 'Next', [
                    [
                        'key' => 'thing',
                        'type' => 'short-text',
                        'wording' => 'What is it?',
                        'hint' => 'maker, age, number, whatever you know',
                        'required' => true,
                        'destination' => 'asset.description',
                    ],
                    ['key' => 'place', 'type' => 'address', 'wording' => 'Where does it stand?', 'destination' => 'asset.place'],
                    [
                        'key' => 'history',
                        'type' => 'any-of',
                        'wording' => 'What was done to it before?',
                        'options' => self::options(['service' => 'Regular service', 'repair' => 'Repairs', 'nothing' => 'Nothing that I know of']),
                    ],
                    ['key' => 'repairs', 'type' => 'long-text', 'wording' => 'Which repairs?', 'showIf' => ['question' => 'history', 'op' => 'is', 'value' => 'repair']],
                    ['key' => 'photos', 'type' => 'files', 'wording' => 'Photographs', 'destination' => 'files'],
                ]),
                self::page('agree', 'Before we begin', 'Send', [
                    [
                        'key' => 'budget',
                        'type' => 'money',
                        'wording' => 'Do you have a budget in mind?',
                        'hint' => 'if you have a sum in mind',
                        'min' => '0',
                        'destination' => 'project.budget',
                    ],
                    ['key' => 'decides', 'type' => 'yes-no', 'wording' => 'Will you be deciding on your own?'],
                    ['key' => 'who_decides', 'type' => 'short-text', 'wording' => 'Who decides with you?', 'showIf' => ['question' => 'decides', 'op' => 'is', 'value' => 'no']],
                    ['key' => 'consent', 'type' => 'consent', 'wording' => 'You may keep these answers to do the work.', 'required' => true],
                ]),
            ]),
            'feedback' => self::frame('Two minutes, and we learn from it.', 480, [
                self::page('you', 'You', 'Next', [self::YOU[0], self::YOU[1]]),
                self::page('how', 'How it was', 'Send', [
                    ['key' => 'recommend', 'type' => 'scale', 'wording' => 'Would you recommend us?', 'hint' => '0 is never, 10 is gladly', 'required' => true],
                    [
                        'key' => 'better',
                        'type' => 'long-text',
                        'wording' => 'What should have been better?',
                        'showIf' => ['question' => 'recommend', 'op' => 'at-most', 'value' => '6'],
                    ],
                    ['key' => 'good', 'type' => 'long-text', 'wording' => 'What was good?', 'showIf' => ['question' => 'recommend', 'op' => 'more-than', 'value' => '6']],
                    ['key' => 'work', 'type' => 'rating', 'wording' => 'The work itself', 'half' => true],
                    ['key' => 'manner', 'type' => 'rating', 'wording' => 'How we were to deal with', 'half' => true],
                    ['key' => 'show', 'type' => 'consent', 'wording' => 'You may show my words with my first name.'],
                ]),
            ], 'file'),
            'visit-report' => self::frame('For whoever was there.', 480, [
                self::page('visit', 'The visit', 'Next', [
                    ['key' => 'name', 'type' => 'person-name', 'wording' => 'Client', 'required' => true, 'destination' => 'client.name'],
                    ['key' => 'email', 'type' => 'email', 'wording' => 'Client’s email', 'required' => true, 'destination' => 'client.email'],
                    ['key' => 'thing', 'type' => 'short-text', 'wording' => 'What was worked on?', 'destination' => 'asset.description'],
                    ['key' => 'from', 'type' => 'time', 'wording' => 'From', 'half' => true],
                    ['key' => 'to', 'type' => 'time', 'wording' => 'To', 'half' => true],
                ]),
                self::page('done', 'What was done', 'Send', [
                    ['key' => 'done', 'type' => 'long-text', 'wording' => 'What was done?', 'required' => true, 'destination' => 'project.notes'],
                    ['key' => 'finished', 'type' => 'yes-no', 'wording' => 'Is it finished?', 'required' => true],
                    [
                        'key' => 'left',
                        'type' => 'long-text',
                        'wording' => 'What is left?',
                        'destination' => 'task',
                        'showIf' => ['question' => 'finished', 'op' => 'is', 'value' => 'no'],
                        'requiredIf' => ['question' => 'finished', 'op' => 'is', 'value' => 'no'],
                    ],
                    ['key' => 'photos', 'type' => 'files', 'wording' => 'Photographs', 'hint' => 'up to 3', 'maxFiles' => 3, 'fileKinds' => 'images', 'destination' => 'files'],
                    ['key' => 'signed', 'type' => 'signature', 'wording' => 'Signed by the client', 'hint' => 'on the spot'],
                ]),
            ], 'add'),
            default => throw new InvalidInput('starter', 'There is no such starter.'),
        };
    }

    /** @return array<string, mixed> */
    public static function empty(): array
    {
        return self::frame('', 240, [self::page('one', 'You', 'Send', self::YOU)]);
    }

    /**
     * @param list<array<string, mixed>> $pages
     *
     * @return array<string, mixed>
     */
    private static function frame(string $intro, int $promise, array $pages, string $purpose = 'open'): array
    {
        return [
            'intro' => $intro,
            'privacy' => 'We use them to answer you, never pass them on, and delete them when you ask.',
            'thanks' => 'Thank you. Your number is {{reference}}.',
            'steps' => [['when' => 'First', 'what' => 'You write.'], ['when' => 'Then', 'what' => 'A person reads it and answers.']],
            'promiseMinutes' => $promise,
            'dayOrder' => 'day-first',
            'copy' => true,
            'purpose' => $purpose,
            'pages' => $pages,
        ];
    }

    /**
     * @param list<array<string, mixed>> $questions
     *
     * @return array<string, mixed>
     */
    private static function page(string $key, string $title, string $next, array $questions): array
    {
        return ['key' => $key, 'title' => $title, 'next' => $next, 'questions' => $questions];
    }

    /**
     * @param array<string, string> $labels by value
     *
     * @return list<array{value: string, label: string}>
     */
    private static function options(array $labels): array
    {
        return array_map(static fn (string $value, string $label): array => ['value' => $value, 'label' => $label], array_keys($labels), array_values($labels));
    }
}

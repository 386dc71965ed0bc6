<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Forms\Form;
use Telamon\Forms\FormVersion;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;

/** The forms that the workshop has published. */
final readonly class DemoForms
{
    private const STEPS = [
        ['when' => 'First', 'what' => 'You write, with photographs if you can.'],
        ['when' => 'Then', 'what' => 'Nessa answers and offers a day.'],
        ['when' => 'After that', 'what' => 'We send a price. You decide.'],
    ];
    private const PRIVACY = 'We use them to answer you and to keep your piano’s file, never pass them on, and delete them when you ask.';
    private const YOU = ['key' => 'you', 'title' => 'You', 'next' => 'On to your piano', 'questions' => [
        ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
        ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
        ['key' => 'phone', 'type' => 'phone', 'wording' => 'Phone', 'hint' => 'if you would like a call', 'destination' => 'client.phone'],
    ]];

    public function __construct(private EntityManagerInterface $em, private Changes $changes)
    {
    }

    public function load(\DateTimeImmutable $now): void
    {
        $this->changes->carryOut(Act::of(ChangeKind::Setup, 'published the first forms')->at($now), function () use ($now): void {
            $this->publish('piano-inquiry', $this->inquiry(), $now);
            $this->publish('tuning', $this->tuning(), $now);
            $this->publish('concert', $this->concert(), $now);
        });
    }

    /** @return array<string, mixed> */
    private function inquiry(): array
    {
        return self::frame('Tell us about your piano', 'Nine short questions. A person reads them and answers within two working hours.', 120) + ['pages' => [
            self::YOU,
            ['key' => 'piano', 'title' => 'Your piano', 'next' => 'Send to the workshop', 'questions' => [
                ['key' => 'service', 'type' => 'one-of', 'wording' => 'What should we do?', 'required' => true, 'destination' => 'project.service', 'options' => [
                    ['value' => 'tuning', 'label' => 'Tune it'],
                    ['value' => 'repair', 'label' => 'Repair it', 'also' => ['mend', 'stuck keys']],
                    ['value' => 'restoration', 'label' => 'New strings and hammers', 'also' => ['restring', 'restore']],
                    ['value' => 'moving', 'label' => 'Move or store it'],
                    ['value' => 'other', 'label' => 'Something else'],
                ], 'points' => ['part' => 'need', 'steps' => [['at' => 'restoration', 'points' => 4], ['at' => 'repair', 'points' => 3], ['at' => 'moving', 'points' => 2], ['at' => 'tuning', 'points' => 1]]]],
                [
                    'key' => 'piano',
                    'type' => 'short-text',
                    'wording' => 'What piano is it?',
                    'hint' => 'maker, age, number, whatever you know',
                    'destination' => 'asset.description',
                ],
                ['key' => 'place', 'type' => 'address', 'wording' => 'Where is the piano?', 'hint' => 'street, town, and any steps', 'destination' => 'asset.place'],
                [
                    'key' => 'wanted_by',
                    'type' => 'day',
                    'wording' => 'Must it be ready for a day?',
                    'hint' => 'leave empty if not',
                    'example' => '12 June 2027',
                    'destination' => 'project.ready_by',
                    'points' => ['part' => 'start', 'steps' => [['at' => '14', 'points' => 4], ['at' => '60', 'points' => 2]]],
                ],
                ['key' => 'matter', 'type' => 'long-text', 'wording' => 'What is the matter with it?', 'destination' => 'project.notes'],
                [
                    'key' => 'photos',
                    'type' => 'files',
                    'wording' => 'Photographs',
                    'hint' => 'up to 8, of the whole piano and the trouble',
                    'maxFiles' => 8,
                    'destination' => 'files',
                ],
            ]],
        ]];
    }

    /** @return array<string, mixed> */
    private function tuning(): array
    {
        return self::frame('Ask for a tuning', 'Six short questions. We answer within four working hours.', 240) + ['pages' => [
            self::YOU,
            ['key' => 'piano', 'title' => 'Your piano', 'next' => 'Ask for a day', 'questions' => [
                [
                    'key' => 'service',
                    'type' => 'one-of',
                    'wording' => 'What should we do?',
                    'required' => true,
                    'destination' => 'project.service',
                    'options' => [['value' => 'tuning', 'label' => 'Tuning']],
                ],
                ['key' => 'piano', 'type' => 'short-text', 'wording' => 'What piano is it?', 'destination' => 'asset.description'],
                ['key' => 'wanted_by', 'type' => 'day', 'wording' => 'By which day?', 'example' => '12 June 2027', 'destination' => 'project.ready_by'],
            ]],
        ]];
    }

    /** @return array<string, mixed> */
    private function concert(): array
    {
        return self::frame('Book concert service', 'For halls, schools and choirs. We answer within four working hours.', 240) + ['pages' => [
            ['key' => 'you', 'title' => 'You', 'next' => 'On to the concert', 'questions' => [
                ['key' => 'name', 'type' => 'person-name', 'wording' => 'Hall, school or choir', 'required' => true, 'destination' => 'client.name'],
                ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
                ['key' => 'phone', 'type' => 'phone', 'wording' => 'Phone', 'destination' => 'client.phone'],
            ]],
            ['key' => 'concert', 'title' => 'The concert', 'next' => 'Send to the workshop', 'questions' => [
                [
                    'key' => 'service',
                    'type' => 'one-of',
                    'wording' => 'What should we do?',
                    'required' => true,
                    'destination' => 'project.service',
                    'options' => [['value' => 'concert', 'label' => 'Concert service']],
                ],
                ['key' => 'piano', 'type' => 'short-text', 'wording' => 'Which piano?', 'destination' => 'asset.description'],
                ['key' => 'place', 'type' => 'address', 'wording' => 'Where?', 'destination' => 'asset.place'],
                ['key' => 'wanted_by', 'type' => 'day', 'wording' => 'Day of the concert', 'example' => '12 June 2027', 'destination' => 'project.ready_by'],
                ['key' => 'matter', 'type' => 'long-text', 'wording' => 'Pitch, times, anything else', 'destination' => 'project.notes'],
            ]],
        ]];
    }

    /** @return array<string, mixed> */
    private static function frame(string $title, string $intro, int $promise): array
    {
        return [
            'title' => $title, 'intro' => $intro, 'privacy' => self::PRIVACY, 'steps' => self::STEPS, 'promiseMinutes' => $promise,
            'dayOrder' => 'unstated', 'copy' => true, 'purpose' => 'open',
            'thanks' => 'Thank you. Your number is {{reference}}. A copy of your answers is on its way to your mailbox.',
        ];
    }

    /** @param array<string, mixed> $definition */
    private function publish(string $slug, array $definition, \DateTimeImmutable $at): void
    {
        $title = ['piano-inquiry' => 'Piano inquiry', 'tuning' => 'Tuning request', 'concert' => 'Concert booking'][$slug] ?? $slug;
        $form = new Form($slug, $title);
        $version = new FormVersion($form, 1, $definition, $at);
        $this->em->persist($form);
        $this->em->persist($version);
        $this->em->flush();
        $form->publish($version);
    }
}

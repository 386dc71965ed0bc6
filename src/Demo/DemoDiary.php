<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Booking\TypeReader;
use Telamon\Diary\BookingPage;
use Telamon\Diary\Resource;
use Telamon\Diary\Road;
use Telamon\Diary\VisitType;
use Telamon\Forms\Form;
use Telamon\Forms\FormVersion;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Staff\Staff;

/** How the workshop's diary is set up: kinds of visit, booking pages with the form before them, roads, the van. */
final readonly class DemoDiary
{
    private const ROADS = [
        ['Marrowby', 'Quarry Hall', 12], ['Marrowby', 'Gable Lane', 8], ['Marrowby', 'Lantern Hall', 10], ['Marrowby', 'Ferry Inn', 18], ['Marrowby', 'Marsh End', 16],
        ['Quarry Hall', 'Gable Lane', 15], ['Quarry Hall', 'Lantern Hall', 14], ['Gable Lane', 'Lantern Hall', 9], ['Marsh End', 'Ferry Inn', 6],
        ['Marsh End', 'Quarry Hall', 22], ['Ferry Inn', 'Lantern Hall', 20], ['Tesk', 'Marrowby', 25],
    ];

    public function __construct(private EntityManagerInterface $em, private Changes $changes)
    {
    }

    public function load(\DateTimeImmutable $now): void
    {
        $this->changes->carryOut(Act::of(ChangeKind::Setup, 'set the diary up')->at($now), function () use ($now): void {
            $staff = [];
            foreach ($this->em->getRepository(Staff::class)->findAll() as $one) {
                $staff[$one->initials] = $one->id;
            }
            $van = new Resource('The van');
            $this->em->persist($van);
            foreach (self::ROADS as [$from, $to, $minutes]) {
                $this->em->persist(new Road($from, $to, $minutes));
            }
            $tuners = [
                'people' => [[$staff['TA'], $staff['SV']]],
                'clearBefore' => 0,
                'clearAfter' => 15,
                'service' => 'tuning',
                'says' => 'Please clear the lid. An hour of quiet helps.',
            ];
            /** @var array<string, VisitType> $types */
            $types = [];
            foreach ([
                ['tuning', 'Tuning', ['lengths' => [60], 'price' => '€95.00', 'dayLimit' => 4, 'weekLimit' => 14, 'picks' => 'earlier'] + $tuners],
                ['pitch-raised', 'Tuning, pitch raised', ['lengths' => [90], 'price' => '€140.00', 'dayLimit' => 3] + $tuners],
                [
                    'first-visit',
                    'First visit',
                    ['lengths' => [60, 90], 'people' => [[$staff['SV'], $staff['TA']]], 'clearAfter' => 12, 'service' => 'repair', 'onto' => 'joins', 'price' => 'free of charge'],
                ],
                ['repair-visit', 'Repair visit', ['lengths' => [60], 'people' => [[$staff['SV']]], 'clearAfter' => 15, 'service' => 'repair', 'price' => 'by quote']],
                [
                    'collection',
                    'Collection',
                    [
                        'lengths' => [120],
                        'people' => [[$staff['PT']], [$staff['TA'], $staff['SV']]],
                        'takes' => 'each',
                        'resources' => [$van->id],
                        'clearAfter' => 30,
                        'onto' => 'asks',
                    ],
                ],
                ['delivery', 'Delivery', ['lengths' => [90], 'people' => [[$staff['PT']]], 'resources' => [$van->id], 'clearAfter' => 30, 'onto' => 'asks']],
                [
                    'talk',
                    'A talk by phone',
                    [
                        'lengths' => [20, 30],
                        'people' => [[$staff['SV'], $staff['NQ']]],
                        'place' => 'phone',
                        'step' => 10,
                        'notice' => 120,
                        'onto' => 'none',
                        'cancelNotice' => 120,
                        'reminders' => [['minutes' => 120, 'template' => 'reminder']],
                    ],
                ],
                [
                    'workshop-evening',
                    'Workshop evening',
                    ['lengths' => [90], 'people' => [[$staff['SV']]], 'place' => 'here', 'seats' => 8, 'step' => 60, 'onto' => 'none', 'price' => '€12.00'],
                ],
            ] as $i => [$slug, $name, $settings]) {
                $types[$slug] = new VisitType($slug, $name, (new TypeReader())->read($settings), true, $i + 1);
                $this->em->persist($types[$slug]);
            }
            $this->publish('book', 'Booking, who you are', self::who(), $now);
            $this->em->persist(new BookingPage(
                'visit',
                'When shall we come?',
                'Choose what it is for, and a time that suits you.',
                array_map(static fn (string $slug): string => $types[$slug]->id, ['tuning', 'pitch-raised', 'repair-visit', 'talk']),
                'book',
                true,
            ));
            $this->em->persist(new BookingPage(
                'talk',
                'When shall we call?',
                'Twenty minutes by phone cost nothing.',
                [$types['talk']->id, $types['first-visit']->id],
                'book',
                true,
            ));
            $this->em->persist(new BookingPage(
                'evening',
                'Will you come to an evening?',
                'Eight people, the workshop open, an hour and a half.',
                [$types['workshop-evening']->id],
                'book',
                true,
            ));
            $this->publish('gateway', 'What do you need?', self::gateway(), $now);
        });
    }

    /** @return array<string, mixed> */
    private static function who(): array
    {
        return [
            'title' => 'Who are you?', 'intro' => 'Four short answers, then you choose a time.',
            'privacy' => 'We use them to come to you, and delete them when you ask.', 'thanks' => 'Thank you. Your number is {{reference}}.',
            'steps' => [
                ['when' => 'First', 'what' => 'You say who you are.'],
                ['when' => 'Then', 'what' => 'You choose a time. It is held for ten minutes.'],
                ['when' => 'After that', 'what' => 'A mail has the time, and a link to move it.'],
            ],
            'promiseMinutes' => 240, 'dayOrder' => 'unstated', 'purpose' => 'open',
            'pages' => [['key' => 'you', 'title' => 'You', 'next' => 'On to the times', 'questions' => [
                ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
                ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
                ['key' => 'phone', 'type' => 'phone', 'wording' => 'Phone', 'hint' => 'in case we are late', 'destination' => 'client.phone'],
                ['key' => 'place', 'type' => 'address', 'wording' => 'Where is the piano?', 'hint' => 'street and town', 'required' => true, 'destination' => 'asset.place'],
                ['key' => 'piano', 'type' => 'short-text', 'wording' => 'What piano is it?', 'destination' => 'asset.description'],
            ]]],
        ];
    }

    /** @return array<string, mixed> One form that leads to different times, or to none. */
    private static function gateway(): array
    {
        return [
            'title' => 'What do you need?', 'intro' => 'Five short questions lead you to the right time.',
            'privacy' => 'We use them to answer you, and delete them when you ask.',
            'thanks' => 'Thank you. Your number is {{reference}}. Nessa writes to you.',
            'steps' => [['when' => 'First', 'what' => 'You tell us what it is.'], ['when' => 'Then', 'what' => 'You choose a time, or we write to you.']],
            'promiseMinutes' => 240, 'dayOrder' => 'unstated', 'purpose' => 'open',
            'endings' => [
                ['kind' => 'booking', 'text' => 'visit/tuning', 'when' => ['question' => 'service', 'op' => 'is', 'value' => 'tuning']],
                ['kind' => 'booking', 'text' => 'talk/talk/30', 'when' => ['question' => 'service', 'op' => 'is', 'value' => 'restoration']],
            ],
            'pages' => [['key' => 'you', 'title' => 'You', 'next' => 'Go on', 'questions' => [
                ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
                ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
                ['key' => 'phone', 'type' => 'phone', 'wording' => 'Phone', 'destination' => 'client.phone'],
                ['key' => 'place', 'type' => 'address', 'wording' => 'Where is the piano?', 'destination' => 'asset.place'],
                [
                    'key' => 'service',
                    'type' => 'one-of',
                    'wording' => 'What should we do?',
                    'required' => true,
                    'destination' => 'project.service',
                    'options' => [
                        ['value' => 'tuning', 'label' => 'Tune it'],
                        ['value' => 'restoration', 'label' => 'New strings and hammers'],
                        ['value' => 'other', 'label' => 'Something else'],
                    ],
                ],
                ['key' => 'photos', 'type' => 'files', 'wording' => 'Photographs', 'maxFiles' => 8, 'destination' => 'files'],
            ]]],
        ];
    }

    /** @param array<string, mixed> $definition */
    private function publish(string $slug, string $title, array $definition, \DateTimeImmutable $at): void
    {
        $form = new Form($slug, $title);
        $version = new FormVersion($form, 1, $definition, $at);
        $this->em->persist($form);
        $this->em->persist($version);
        $this->em->flush();
        $form->publish($version);
    }
}

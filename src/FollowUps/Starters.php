<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Telamon\Core\FollowUps\SeriesReader;
use Telamon\Database\DatabaseUpdated;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Messages\MessageTemplate;

/** The follow-ups that every installation begins with, switched off, and the letters that they send. One that was set up before gets them with the update. */
final readonly class Starters
{
    public function __construct(private EntityManagerInterface $em, private Changes $changes)
    {
    }

    #[AsEventListener]
    public function __invoke(DatabaseUpdated $event): void
    {
        $there = array_map(static fn (FollowUp $one): string => $one->key, $this->em->getRepository(FollowUp::class)->findAll());
        if (0 === $this->em->getRepository(MessageTemplate::class)->count([]) || [] === array_diff(array_keys(self::series()), $there)) {
            return;
        }
        $this->changes->carryOut(Act::of(ChangeKind::Setup, 'added follow-ups to begin with'), $this->add(...));
    }

    /** Adds what is not there. Call it inside a change. */
    public function add(): void
    {
        $templates = array_map(static fn (MessageTemplate $one): string => $one->key, $this->em->getRepository(MessageTemplate::class)->findAll());
        foreach (self::letters() as $letter) {
            if (!\in_array($letter->key, $templates, true)) {
                $this->em->persist($letter);
            }
        }
        $there = array_map(static fn (FollowUp $one): string => $one->key, $this->em->getRepository(FollowUp::class)->findAll());
        foreach (self::series() as $key => [$name, $courses]) {
            if (!\in_array($key, $there, true)) {
                $this->em->persist(new FollowUp($key, $name, (new SeriesReader())->read($courses)));
            }
        }
    }

    /** @return list<MessageTemplate> */
    private static function letters(): array
    {
        $end = "\n\n{{signature}}";

        return [
            new MessageTemplate(
                'first-answer',
                'First answer',
                'Your inquiry about your {{asset}}',
                "Hello {{first_name}},\n\nthank you for writing to us{{#asset}} about your {{asset}}{{/asset}}. {{lead}} looks at it and comes back to you.\n\nIf you already know what you would like, just answer this mail.$end",
            ),
            new MessageTemplate(
                'nudge-day-2',
                'Nudge on day 2',
                'Is there anything you would like to know?',
                "Hello {{first_name}},\n\ntwo days ago you wrote to us{{#asset}} about your {{asset}}{{/asset}}. Is there anything that you would like to know before we go on?\n\nA short answer is enough.$end",
            ),
            new MessageTemplate(
                'nudge-day-3',
                'Nudge on day 3',
                'Shall we find a day?',
                "Hello {{first_name}},\n\nshall we find a day for you? Say yes, and {{lead}} offers you times.$end",
            ),
            new MessageTemplate(
                'nudge-day-7',
                'Nudge on day 7',
                'Shall we keep your inquiry?',
                "Hello {{first_name}},\n\nwe have not heard from you. Shall we keep your inquiry open? Yes, no or later is enough.$end",
            ),
            new MessageTemplate(
                'last-letter',
                'Last letter',
                'We leave it there for now',
                "Hello {{first_name}},\n\nwe leave it there for now, and write no more about it. Whenever you like to go on, answer this mail.$end",
            ),
            new MessageTemplate(
                'did-not-finish',
                'Did not finish',
                'You began to write to us',
                "Hello {{first_name}},\n\nyou began to write to us and did not come to the end. What you wrote is not lost. Shall {{lead}} ring you?$end",
            ),
            new MessageTemplate(
                'photographs',
                'Photographs wanted',
                'Could you send us photographs?',
                "Hello {{first_name}},\n\nphotographs would help us{{#asset}} with your {{asset}}{{/asset}}: the whole of it, and what is wrong. Just answer this mail with them.$end",
            ),
            new MessageTemplate(
                'photographs-again',
                'Photographs, asked again',
                'Photographs of your {{asset}}',
                "Hello {{first_name}},\n\nwithout photographs {{lead}} has to come and look first. Two or three taken with a phone are enough.$end",
            ),
            new MessageTemplate(
                'after-visit',
                'After a visit',
                'How was it?',
                "Hello {{first_name}},\n\nwe hope that all is well{{#asset}} with your {{asset}}{{/asset}}. If anything is not as it should be, answer this mail, and {{lead}} looks after it.$end",
            ),
        ];
    }

    /** @return array<string, array{string, array<string, list<array<string, mixed>>>}> by key: name and courses */
    private static function series(): array
    {
        $send = static fn (string $key, string $template): array => ['key' => $key, 'kind' => 'send', 'what' => $template];
        $wait = static fn (string $key, int $amount, string $unit = 'days', string $at = ''): array => [
            'key' => $key,
            'kind' => 'wait',
            'amount' => $amount,
            'unit' => $unit,
            'at' => $at,
        ];
        $task = static fn (string $key, string $name, int $days = 0): array => ['key' => $key, 'kind' => 'task', 'what' => $name, 'who' => 'lead', 'days' => $days];

        return [
            'first-answer' => ['First answer and nudges', [
                'main' => [
                    $send('first', 'first-answer'),
                    $wait('wait-2', 2),
                    $send('nudge-2', 'nudge-day-2'),
                    $wait('wait-3', 1, 'working-days', '10:00'),
                    $send('nudge-3', 'nudge-day-3'),
                    $wait('wait-7', 4),
                    $send('nudge-7', 'nudge-day-7'),
                    $wait('wait-30', 23, 'days', '09:00'),
                    $send('last', 'last-letter'),
                ],
                'later' => [['named' => true] + $wait('later-wait', 30, 'days', '10:00'), ['key' => 'later-on', 'kind' => 'go-on', 'what' => 'nudge-7']],
                'question' => [$wait('question-wait', 5, 'working-days'), $task('question-ask', 'Ask whether everything is answered')],
            ]],
            'did-not-finish' => ['Did not finish', [
                'main' => [
                    $wait('wait-1', 1, 'hours'),
                    $send('write', 'did-not-finish'),
                    $wait('wait-2', 2, 'working-days'),
                    $task('ring', 'Ring them: they began and did not finish'),
                ],
            ]],
            'photographs' => ['Waiting for photographs', [
                'main' => [
                    $send('ask', 'photographs'),
                    $wait('wait-2', 2, 'days', '10:00'),
                    $send('again', 'photographs-again'),
                    $wait('wait-5', 5, 'working-days'),
                    $task('look', 'Offer a first visit instead of photographs'),
                ],
                'question' => [],
            ]],
            'after-visit' => ['After a visit', [
                'main' => [$wait('wait-1', 1, 'days', '10:00'), $send('how', 'after-visit'), $wait('wait-14', 14), $task('ring', 'Ring and ask how it was')],
                'no' => [$task('put-right', 'Put right what is not as it should be')],
                'question' => [$task('answer', 'Answer what they asked after the visit')],
            ]],
        ];
    }
}

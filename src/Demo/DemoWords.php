<?php

declare(strict_types=1);

namespace Telamon\Demo;

/** What people write to the workshop. */
final class DemoWords
{
    public const MATTER = [
        'tuning' => [
            'It was last tuned three years ago and the top octave sounds sour.',
            'Two notes in the middle have slipped, the rest is fair.',
            'We play at Christmas and would like it in good order.',
            'It moved house in spring and has not been touched since.',
        ],
        'repair' => [
            'Several keys stick in the middle, two bass strings are gone, and it has dropped about a semitone since we moved it. I would like a price for putting it right.',
            'The right pedal squeaks and does not lift all the dampers.',
            'One hammer knocks against its neighbour. My daughter practises every day, so sooner is better.',
            'A key went down and stayed down. Nothing fell in, as far as I know.',
            'The lid hinge has come away on the left.',
        ],
        'restoration' => [
            'It was my grandmother’s. The strings are rusty and the hammers hard. Is it worth it?',
            'We want to keep the case and renew what is inside.',
            'The tuner said the pins are loose in the treble. Please look before we decide.',
        ],
        'moving' => [
            'First floor to ground floor, one turn on the stairs.',
            'From the school hall to the new music room, about 200 metres.',
            'Store it for four months while the floor is renewed, then bring it back.',
        ],
        'concert' => [
            'A 440, rehearsal from 16:00, doors at 19:30.',
            'Two pianos, four hands. They must agree with each other more than with the world.',
            'Choir and organ, so please match the organ, about A 438.',
        ],
        'other' => ['Do you lend pianos for a term?', 'Would you value it for the insurance? A letter is enough.'],
    ];

    public const ADVERTS = [
        ['Marlon Swift', 'hello@rank-higher.example', 'We can bring your website to the first page. Reply today for a free report.'],
        ['Growth Desk', 'growth@leads-now.example', 'Ten thousand addresses of homeowners near you at a fair price.'],
        ['Ann Offer', 'offers@cheap-prints.example', 'Five thousand leaflets for the price of one thousand, this week only.'],
    ];

    public const STAIRS = ['', '', ' Three steps up.', ' Ground floor.', ' Second floor, wide stairs.', ' Through the garden gate.'];

    /** Who goes, from when to when, what it is called, of which kind; empty for none. */
    public const VISITS = [
        ['SV', '08:30', '09:30', 'tuning', 'tuning'],
        ['PT', '09:00', '10:30', 'collection', 'delivery'],
        ['SV', '10:00', '11:30', 'voicing', ''],
        ['TA', '11:30', '12:30', 'tuning', 'tuning'],
        ['PT', '13:30', '15:00', 'delivery', 'delivery'],
        ['SV', '14:00', '15:30', 'first visit', 'first-visit'],
        ['TA', '16:00', '17:30', 'recital tuning', 'pitch-raised'],
    ];
}

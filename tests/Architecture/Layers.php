<?php

declare(strict_types=1);

namespace Telamon\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;
use Telamon\Journal\Change;

/**
 * One direction: a room knows only rooms of lower layers; rooms of one layer are strangers. A folder that is not
 * listed here does not build either: see LayersTest.
 */
final class Layers
{
    /** @var array<int, list<string>> folders of core/src, the lowest layer first */
    public const CORE = [
        1 => ['Text', 'Time', 'People', 'Day', 'Evidence'],
        2 => ['Reading', 'Slots', 'Booking', 'Quotes', 'Replies', 'Messages', 'FollowUps'],
        3 => ['Condition'],
        4 => ['Form', 'Checklists'],
        5 => ['Answers'],
        6 => ['Matching', 'Figures'],
        7 => ['Importing', 'Plan'],
        8 => ['Effects', 'Rules'],
        9 => ['Planning'],
    ];

    /** @var array<int, list<string>> folders of src, the lowest layer first */
    public const APPLICATION = [
        1 => ['Database', 'Time', 'Queue', 'StandIn', 'Refusal', 'Console'],
        2 => ['Http'],
        3 => ['Record'],
        4 => ['Staff'],
        5 => ['Business'],
        6 => ['Access'],
        7 => ['Journal', 'Search', 'Effects', 'Drafts'],
        8 => ['Clients', 'Forms'],
        9 => ['Projects'],
        10 => ['Tasks', 'Files', 'Messages', 'Diary', 'Importing'],
        11 => ['Matching', 'Submissions'],
        12 => ['Quotes', 'FollowUps', 'Notices'],
        13 => ['Tables', 'Rules'],
        14 => ['Planning'],
        15 => ['RuleRuns', 'Checklists'],
        16 => ['Arrivals', 'Setup', 'Booking'],
        17 => ['Replies'],
        18 => ['Screens'],
        19 => ['Demo', 'Running'],
    ];

    /** @return iterable<string, Rule> */
    #[TestRule]
    public function core(): iterable
    {
        return self::rules('Telamon\Core', self::CORE);
    }

    /** @return iterable<string, Rule> */
    #[TestRule]
    public function application(): iterable
    {
        return self::rules('Telamon', self::APPLICATION);
    }

    /** Who does what is said by an act, and written down by one door: its words, their length, the clock and the lock stand there. */
    #[TestRule]
    public function acts(): Rule
    {
        return PHPat::rule()->classes(Selector::inNamespace('Telamon'))->excluding(Selector::inNamespace('Telamon\\Journal'), Selector::inNamespace('Telamon\\Core'))
            ->shouldNot()->construct()->classes(Selector::classname(Change::class))
            ->because('an act is carried out by Changes');
    }

    /**
     * @param array<int, list<string>> $layers
     *
     * @return iterable<string, Rule>
     */
    private static function rules(string $namespace, array $layers): iterable
    {
        foreach ($layers as $layer => $rooms) {
            foreach ($rooms as $room) {
                $others = [];
                foreach ($layers as $above => $more) {
                    array_push($others, ...($above < $layer ? [] : array_diff($more, [$room])));
                }
                if ([] !== $others) {
                    yield $room => PHPat::rule()
                        ->classes(Selector::inNamespace("$namespace\\$room"))
                        ->shouldNot()->dependOn()
                        ->classes(...array_map(static fn (string $other) => Selector::inNamespace("$namespace\\$other"), $others))
                        ->because("$room is on layer $layer: it knows what lies below, and no neighbour");
                }
            }
        }
    }
}

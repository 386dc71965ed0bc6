<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Rules;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleChain;
use Telamon\Core\Rules\RuleReader;

final class RuleChainTest extends TestCase
{
    public function testARuleThatSetsItselfOff(): void
    {
        self::assertSame(['A', 'A'], self::round([['A', 'stage', '', [['kind' => 'stage', 'stage' => 'Quote']]]]));
        self::assertSame(['A', 'A'], self::round([['A', 'stage', 'Quote', [['kind' => 'stage', 'stage' => 'Quote']]]]));
        self::assertNull(self::round([['A', 'stage', 'Inquiry', [['kind' => 'stage', 'stage' => 'Quote']]]]));
    }

    public function testARoundOfSeveral(): void
    {
        $rules = [
            ['A', 'stage', 'Inquiry', [['kind' => 'stage', 'stage' => 'Quote']]],
            ['B', 'stage', 'Quote', [['kind' => 'tag', 'record' => 'client', 'tag' => 'quoted']]],
            ['C', 'client', 'tags', [['kind' => 'stage', 'stage' => 'Inquiry']]],
        ];
        self::assertSame(['A', 'B', 'C', 'A'], self::round($rules));
        unset($rules[1]);
        self::assertNull(self::round(array_values($rules)));
    }

    public function testOtherFieldsAndWhatAPlanDoesAreNoRound(): void
    {
        self::assertNull(self::round([['A', 'client', 'owner', [['kind' => 'field', 'record' => 'client', 'field' => 'organisation', 'value' => 'x']]]]));
        self::assertSame(['A', 'A'], self::round([['A', 'client', 'organisation', [['kind' => 'field', 'record' => 'client', 'field' => 'organisation', 'value' => 'x']]]]));
        self::assertNull(self::round([
            ['A', 'received', '', [['kind' => 'stage', 'stage' => 'Quote'], ['kind' => 'owner', 'staff' => 's']]],
            ['B', 'stage', '', []],
            ['C', 'client', '', []],
        ]));
        self::assertNull(self::round([['A', 'task', 'Call', [['kind' => 'task', 'name' => 'Call', 'doer' => 'lead', 'days' => '1']]]]), 'a task is done by a person');
    }

    /**
     * @param non-empty-list<array{string, string, string, list<array<string, string>>}> $rules name, when, what, then
     *
     * @return list<string>|null the names of the round of the first
     */
    private static function round(array $rules): ?array
    {
        $read = array_map(
            static fn (array $rule): Rule => (new RuleReader())->read($rule[0], ['name' => $rule[0], 'when' => $rule[1], 'what' => $rule[2], 'then' => $rule[3]]),
            $rules,
        );
        $round = RuleChain::roundOf($read[0], $read);

        return null === $round ? null : array_map(static fn (Rule $rule): string => $rule->name, $round);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Rules;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistItem;
use Telamon\Core\Checklists\Doer;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\Plan;
use Telamon\Core\Planning\PlanContext;
use Telamon\Core\Planning\Ruling;
use Telamon\Core\Rules\Askable;
use Telamon\Core\Rules\Circumstances;
use Telamon\Core\Rules\InvalidRule;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleReader;
use Telamon\Core\Tests\Fixtures;

final class RuleTest extends TestCase
{
    private const STAIRS = ['name' => 'Stairs', 'if' => ['question' => 'matter', 'op' => 'contains', 'value' => 'stick'], 'then' => [
        ['kind' => 'lead', 'staff' => 'pim'], ['kind' => 'tag', 'record' => 'project', 'tag' => 'sticky: {{service}}'],
        ['kind' => 'task', 'name' => 'Call {{name}}', 'doer' => 'lead', 'days' => '2'],
        ['kind' => 'note', 'text' => 'Bring the kit.'], ['kind' => 'stage', 'stage' => 'Quote'], ['kind' => 'checklist', 'checklist' => 'extra'],
        ['kind' => 'notice', 'staff' => 'teo'],
    ]];

    public function testWhatARulePutsIntoAPlan(): void
    {
        $plan = self::plan([self::STAIRS]);
        $told = self::told($plan);
        self::assertContains('Open Repair for Pim Tarrow, with the note, in the stage Quote (Stairs)', $told);
        self::assertContains('Tag the project sticky: Repair it (Stairs)', $told);
        self::assertContains('Call Orla Fennick, Pim, Fri 27 November (Stairs)', $told);
        self::assertContains('Note: Bring the kit. (Stairs)', $told);
        self::assertContains('Order a van, Pim, Thu 26 November (Extra)', $told);
        self::assertContains('Tell Teo Ash at teo@marrowby.example (Stairs)', $told);
        self::assertContains('Tell Pim Tarrow at pim@marrowby.example (Tell whoever leads)', $told, 'the notice follows the lead');
        self::assertSame('Quote', self::effect($plan, 'project.open', 'stage'));
        self::assertSame(
            ['Client', 'Project', 'Tasks', 'Files', 'Messages'],
            array_values(array_unique(array_map(static fn (PlanLine $line): string => $line->group, $plan->lines))),
            'lines of one kind stand together',
        );
    }

    public function testARuleThatDoesNotHoldPutsNothing(): void
    {
        $plain = self::plan([]);
        foreach ([
            ['if' => ['question' => 'matter', 'op' => 'contains', 'value' => 'moths']],
            ['forms' => ['tuning']],
            ['from' => '2026-11-26'],
            ['until' => '2026-11-24'],
        ] as $part) {
            self::assertEquals($plain->toArray(), self::plan([$part + self::STAIRS])->toArray());
        }
        self::assertNotEquals($plain->toArray(), self::plan([['forms' => ['inquiry'], 'from' => '2026-11-25', 'until' => '2026-11-25'] + self::STAIRS])->toArray());
    }

    public function testOfTwoRulesThatDisagreeTheLaterCountsAndThePlanSaysSo(): void
    {
        $plan = self::plan([self::STAIRS, ['name' => 'Teo does it', 'then' => [['kind' => 'lead', 'staff' => 'teo']]]]);
        self::assertContains('Open Repair for Teo Ash, with the note, in the stage Quote (Teo does it, which comes after Stairs)', self::told($plan));
    }

    public function testWhatIsKnownBesideTheAnswersCanBeAsked(): void
    {
        $on = static fn (string $asked, string $value, PlanContext $input): bool => [] !== self::plan(
            [['name' => 'X', 'if' => ['question' => $asked, 'op' => 'is', 'value' => $value], 'then' => [['kind' => 'note', 'text' => 'x']]]],
            $input,
        )->outcome->rules;
        $known = Fixtures::input([], [Fixtures::known()]);
        self::assertTrue($on('@client', 'new', Fixtures::input()));
        self::assertTrue($on('@client', 'known', $known));
        self::assertFalse($on('@client', 'new', $known));
        $doubtful = Fixtures::input([], [new KnownClient('c1', 'Orla Ambry', 2023, ['orla@example.com'], ['+353209171044'], '9 Mill Race, Saltfold', [], [], 'Orla', 'Ambry')]);
        self::assertFalse($on('@client', 'new', $doubtful), 'not while it is open who it is');
        $member = Fixtures::input(
            [],
            [new KnownClient(
                'c1',
                'Orla Fennick',
                2023,
                ['orla@example.com'],
                ['+353209143327'],
                '7 Weir Cottages, Marrowby',
                [],
                ['organisation' => 'Quarry Hall', 'custom.member' => 'yes'],
                'Orla',
                'Fennick',
            )],
        );
        self::assertTrue($on('@client.custom.member', 'yes', $member));
        self::assertTrue($on('@client.organisation', 'Quarry Hall', $member));
        self::assertFalse($on('@client.custom.member', 'yes', Fixtures::input()), 'whoever is new has no fields');
        self::assertTrue($on('@hours', 'inside', Fixtures::input()));
        self::assertFalse($on('@channel', 'embed', Fixtures::input()));
    }

    public function testWhatARuleNamesAndIsGoneIsSaid(): void
    {
        $plan = self::plan([[
            'name' => 'Old',
            'then' => [
                ['kind' => 'lead', 'staff' => 'nobody'],
                ['kind' => 'checklist', 'checklist' => 'gone'],
                ['kind' => 'stage', 'stage' => 'Limbo'],
                ['kind' => 'task', 'name' => 'X', 'doer' => 'nobody', 'days' => '1'],
            ],
        ]]);
        self::assertCount(4, $plan->outcome->gone);
        self::assertContains('Old names a checklist that is gone: nothing is done for it (Old)', self::told($plan));
        self::assertContains('Open Repair for Sorcha Vell, with the note (Repairs go to Sorcha)', self::told($plan), 'and all else stays as it was');
    }

    public function testAFieldOfAnAssetThatNobodyNamedIsSaid(): void
    {
        $rule = [['name' => 'Cellar', 'then' => [['kind' => 'field', 'record' => 'asset', 'field' => 'place', 'value' => 'The cellar']]]];
        self::assertContains('Where it stands: The cellar (Cellar)', self::told(self::plan($rule)));
        self::assertContains(
            'Cellar sets a field of the piano, and none is named: nothing is done for it (Cellar)',
            self::told(self::plan($rule, Fixtures::input(['piano' => null]))),
        );
    }

    public function testAcceptingByItselfIsSaidByThePlan(): void
    {
        self::assertNull(self::plan([self::STAIRS])->outcome->acceptedBy());
        self::assertSame('Stairs', self::plan([['acceptsByItself' => true] + self::STAIRS])->outcome->acceptedBy()?->name);
    }

    /** @param array<string, mixed> $data */
    #[DataProvider('wrong')]
    public function testAWrongRuleSaysWhere(array $data, string $field): void
    {
        try {
            (new RuleReader(self::askable()))->read('r', $data + ['name' => 'X', 'then' => []]);
            self::fail('the rule was taken');
        } catch (InvalidRule $error) {
            self::assertSame($field, $error->field);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no name' => [['name' => ' '], 'name'];
        yield 'forms that are none' => [['forms' => 'inquiry'], 'forms'];
        yield 'a day that is none' => [['from' => '2027-02-30'], 'from'];
        yield 'days in the wrong order' => [['from' => '2027-02-02', 'until' => '2027-02-01'], 'until'];
        yield 'a condition that is none' => [['if' => ['question' => 'x', 'op' => 'sings']], 'if'];
        yield 'asking about what is not known' => [['if' => ['question' => '@weather', 'op' => 'is-blank']], 'if'];
        yield 'a field of the client that is none' => [['if' => ['question' => '@client.password', 'op' => 'is-blank']], 'if'];
        yield 'turns of nobody' => [['then' => [['kind' => 'lead', 'staff' => 'rota']]], 'then.0.among'];
        yield 'a field of nothing' => [['then' => [['kind' => 'field', 'record' => 'staff', 'field' => 'name', 'value' => 'x']]], 'then.0.record'];
        yield 'a field that cannot be set' => [['then' => [['kind' => 'field', 'record' => 'client', 'field' => 'id', 'value' => 'x']]], 'then.0.field'];
        yield 'a wish for a song' => [['then' => [['kind' => 'wish', 'about' => 'song', 'text' => 'x']]], 'then.0.about'];
        yield 'set off by nothing known' => [['when' => 'full-moon'], 'when'];
        yield 'actions that are no list' => [['then' => 'x'], 'then'];
        yield 'an action of no kind' => [['then' => [['kind' => 'sing']]], 'then.0'];
        yield 'an action that lacks a value' => [['then' => [['kind' => 'lead']]], 'then.0.staff'];
        yield 'days in words' => [['then' => [['kind' => 'task', 'name' => 'X', 'doer' => 'lead', 'days' => 'two']]], 'then.0.days'];
        yield 'a tag on nothing' => [['then' => [['kind' => 'tag', 'record' => 'staff', 'tag' => 'x']]], 'then.0.record'];
        yield 'too many actions' => [['then' => array_fill(0, 31, ['kind' => 'note', 'text' => 'x'])], 'then'];
    }

    public function testAnEmptyPlaceIsAskedAboutAndEitherAnswerIsTaken(): void
    {
        $rules = [['name' => 'Ring', 'then' => [['kind' => 'note', 'text' => 'Ring about it at {{nowhere}} today']]]];
        $open = self::plan($rules)->open();
        self::assertSame(['rule.r0.0.empty'], array_map(static fn (PlanLine $line): ?string => $line->choice?->key, $open));
        $without = self::plan($rules, decisions: ['rule.r0.0.empty' => 'without']);
        self::assertSame([], $without->open());
        self::assertCount(1, array_filter(self::told($without), static fn (string $line): bool => str_starts_with($line, 'Note: Ring about it at')));
        $leave = self::plan($rules, decisions: ['rule.r0.0.empty' => 'leave']);
        self::assertSame([], $leave->open());
        self::assertSame([], array_filter(self::told($leave), static fn (string $line): bool => str_starts_with($line, 'Note: Ring')));
    }

    /**
     * @param list<array<string, mixed>> $rules
     * @param array<string, string> $decisions
     */
    private static function plan(array $rules, ?PlanContext $input = null, array $decisions = []): Plan
    {
        $input ??= Fixtures::input();
        $read = array_map(static fn (array $data, int $i): Rule => (new RuleReader())->read("r$i", $data), $rules, array_keys($rules));
        $staff = array_column([new StaffMember('pim', 'Pim Tarrow', 'pim@marrowby.example'), new StaffMember('teo', 'Teo Ash', 'teo@marrowby.example')], null, 'id');
        $book = new RuleBook($read, $staff, ['extra' => new Checklist('extra', 'Extra', [new ChecklistItem('van', 'Order a van', Doer::lead())])], ['Inquiry', 'Quote']);
        $facts = new Circumstances('inquiry', Fixtures::answers(), '2026-11-25', beside: ['@channel' => 'page', '@hours' => 'inside', '@files' => '0']);

        return Fixtures::planner()->plan(Fixtures::context($input, new Ruling($book, $facts)), $decisions);
    }

    /** @return list<string> */
    private static function told(Plan $plan): array
    {
        return array_map(static fn (PlanLine $line): string => implode('', array_map(static fn ($part): string => $part->text, $line->said->parts)).('' === $line->said->reason ? '' : " ({$line->said->reason})"), $plan->lines);
    }

    private static function effect(Plan $plan, string $name, string $value): string
    {
        foreach ($plan->lines as $line) {
            if (null !== $line->effect && $line->effect::name() === $name) {
                $found = Fixtures::value($line->effect, $value);

                return \is_string($found) ? $found : self::fail("$value is no text");
            }
        }
        self::fail("no $name");
    }

    private static function askable(): Askable
    {
        return new class implements Askable {
            public function canAsk(string $name): bool
            {
                return '@client' === $name || str_starts_with($name, '@client.custom.');
            }

            public function asked(): iterable
            {
                return [];
            }
        };
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Planning;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistItem;
use Telamon\Core\Checklists\Doer;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\EventPlanner;
use Telamon\Core\Planning\OnFile;
use Telamon\Core\Planning\Plan;
use Telamon\Core\Planning\Ruling;
use Telamon\Core\Rules\Actions;
use Telamon\Core\Rules\Circumstances;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleReader;
use Telamon\Core\Rules\Triggers\StageChanged;
use Telamon\Core\Rules\Turns;
use Telamon\Core\Tests\Fixtures;

final class EventPlannerTest extends TestCase
{
    public function testARuleActsOnAProjectThatIsThere(): void
    {
        $plan = self::plan([['name' => 'Won', 'when' => 'stage', 'what' => 'agreed', 'then' => [
            ['kind' => 'lead', 'staff' => 'rota', 'among' => 'pim,teo'], ['kind' => 'checklist', 'checklist' => 'extra'],
            ['kind' => 'task', 'name' => 'Thank {{client}}', 'doer' => 'lead', 'days' => 0],
            ['kind' => 'owner', 'staff' => 'teo'], ['kind' => 'field', 'record' => 'project', 'field' => 'budget', 'value' => '{{stage}}'],
            ['kind' => 'wish', 'about' => 'appointment', 'text' => 'soon'],
            ['kind' => 'message', 'template' => 'confirmation'],
        ]]], 'Agreed');
        self::assertSame([
            'Project: Pim Tarrow leads the project (Won, by turns)',
            'Tasks: Order a van, Pim, Thu 26 November (Extra)',
            'Tasks: Thank Orla Fennick, Pim, Wed 25 November (Won)',
            'Client: Teo Ash looks after the client (Won)',
            'Project: Budget: Agreed (Won)',
            'Project: Wish for an appointment: soon (Won)',
            'Messages: Send “We have your inquiry” to orla@example.com (Won)',
        ], self::told($plan));
        self::assertSame(['Won.0' => 'pim'], $plan->outcome->turns);
    }

    public function testOnlyWhatHappenedSetsARuleOff(): void
    {
        $rule = ['name' => 'Won', 'when' => 'stage', 'what' => 'Agreed', 'then' => [['kind' => 'note', 'text' => 'x']]];
        self::assertSame([], self::told(self::plan([$rule], 'Quote')));
        self::assertSame([], self::told(self::plan([['when' => 'task'] + $rule], 'Agreed')));
        self::assertSame([], self::told(self::plan([['when' => 'received'] + $rule], 'Agreed')));
        self::assertCount(1, self::told(self::plan([['what' => ''] + $rule], 'Agreed')));
        self::assertSame([], self::told(self::plan([['if' => ['question' => '@stage_before', 'op' => 'is', 'value' => 'Done']] + $rule], 'Agreed')));
        self::assertSame([], self::told(self::plan([$rule], 'Agreed', byHand: true)), 'not what a person added by hand');
        self::assertCount(1, self::told(self::plan([['alsoByHand' => true] + $rule], 'Agreed', byHand: true)), 'unless it says so');
    }

    public function testWhatIsGoneIsSaid(): void
    {
        $plan = self::plan(
            [[
                'name' => 'Old',
                'when' => 'stage',
                'then' => [
                    ['kind' => 'message', 'template' => 'lost'],
                    ['kind' => 'owner', 'staff' => 'nobody'],
                    ['kind' => 'task', 'name' => 'X', 'doer' => 'fewest', 'among' => 'nobody', 'days' => 1],
                    ['kind' => 'field', 'record' => 'client', 'field' => 'custom.hue', 'value' => 'x'],
                ],
            ]],
            'Agreed',
        );
        self::assertCount(3, $plan->outcome->gone);
        self::assertContains('Rules: Old names a field that is gone: nothing is done for it (Old)', self::told($plan));
        self::assertSame([], array_filter($plan->lines, static fn (PlanLine $line): bool => null !== $line->effect));
    }

    /** Something that happens to a client alone: what is about a project is said, what is not is done. */
    public function testEveryActionHasItsLineWhereThereIsNoProject(): void
    {
        $given = [
            'lead' => ['staff' => 'pim'], 'checklist' => ['checklist' => 'extra'], 'task' => ['name' => 'X', 'doer' => 'lead', 'days' => 0],
            'tag' => ['record' => 'client', 'tag' => 'vip'], 'stage' => ['stage' => 'Agreed'], 'note' => ['text' => 'x'],
            'notice' => ['staff' => 'teo'], 'owner' => ['staff' => 'teo'], 'field' => ['record' => 'project', 'field' => 'budget', 'value' => 'x'],
            'wish' => ['about' => 'quote', 'text' => 'x'], 'message' => ['template' => 'confirmation'], 'clock' => [], 'times' => ['page' => 'visit'],
            'hold' => ['visit' => 'tuning'], 'quote' => [], 'sign' => [], 'form' => ['form' => 'more'],
            'follow-up' => ['followUp' => 'first-answer'], 'room' => ['room' => 'desk', 'text' => 'x'],
        ];
        $done = [];
        foreach (Actions::ALL as $action) {
            $kind = $action::name();
            self::assertArrayHasKey($kind, $given, 'an action that this test does not know yet');
            $plan = self::plan([['name' => 'Rule', 'when' => 'stage', 'then' => [['kind' => $kind] + $given[$kind]]]], 'Agreed', lead: null);
            self::assertCount(1, $plan->lines, $kind);
            self::assertSame([], $plan->open(), 'nobody is there to be asked');
            $done[$kind] = null !== $plan->lines[0]->effect
                ? 'done'
                : (1 === preg_match('/is about a project, and none comes of this|nobody would look at it first/', self::told($plan)[0]) ? 'said' : 'lost');
        }
        self::assertSame([
            'lead' => 'said', 'checklist' => 'said', 'task' => 'said', 'tag' => 'done', 'stage' => 'said', 'note' => 'said', 'notice' => 'done',
            'owner' => 'done', 'field' => 'said', 'wish' => 'said', 'message' => 'done', 'clock' => 'done', 'times' => 'done', 'hold' => 'said',
            'quote' => 'said', 'sign' => 'said', 'form' => 'done', 'follow-up' => 'done', 'room' => 'done',
        ], $done);
    }

    /** @param list<array<string, mixed>> $rules */
    private static function plan(array $rules, string $stage, bool $byHand = false, ?StaffMember $lead = new StaffMember('s1', 'Sorcha Vell', 'sorcha@marrowby.example')): Plan
    {
        $reader = new RuleReader();
        $staff = ['pim' => new StaffMember('pim', 'Pim Tarrow', 'pim@marrowby.example'), 'teo' => new StaffMember('teo', 'Teo Ash', 'teo@marrowby.example')];
        $book = new RuleBook(
            array_map(static fn (array $rule): Rule => $reader->read(\is_string($rule['name']) ? $rule['name'] : '', $rule), $rules),
            $staff, ['extra' => new Checklist('extra', 'Extra', [new ChecklistItem('van', 'Order a van', Doer::lead())])], ['Quote', 'Agreed'],
            ['confirmation'], new Turns(), ['first-answer'], ['desk'], ['more'],
        );
        $context = Fixtures::context(Fixtures::input(), new Ruling($book), onFile: new OnFile(merge: ['client' => 'Orla Fennick', 'stage' => $stage]));
        $facts = (new Circumstances('inquiry', [], '2026-11-25', beside: ['@stage' => $stage, '@stage_before' => 'Inquiry']))->after([new StageChanged()], [$stage], $byHand);

        return (new EventPlanner())->plan($context, $facts, $lead, null);
    }

    /** @return list<string> */
    private static function told(Plan $plan): array
    {
        return array_map(static fn (PlanLine $line): string => "{$line->group}: ".implode('', array_map(static fn (Part $part): string => $part->text, $line->said->parts))." ({$line->said->reason})", $plan->lines);
    }
}

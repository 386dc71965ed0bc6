<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Effects\SetField;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\InvalidDecision;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\Amendments;
use Telamon\Core\Planning\Plan;
use Telamon\Core\Planning\Ruling;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Tests\Fixtures;

final class AmenderTest extends TestCase
{
    public function testALineThatIsLeftOutTellsAndDoesNothing(): void
    {
        $plan = self::plan(new Amendments(['message.notice', 'client', 'project']));
        self::assertTrue(self::line($plan, 'message.notice')->isDropped());
        self::assertNull(self::line($plan, 'message.notice')->effect);
        self::assertNotNull(self::line($plan, 'client')->effect, 'who is served stays');
        self::assertNotNull(self::line($plan, 'project')->effect, 'what is done stays');
    }

    public function testTasksDoNotWaitForOneThatIsLeftOut(): void
    {
        self::assertSame([1], Fixtures::value(self::line(self::plan(new Amendments()), 'task.onboarding/deposit')->effect, 'waitsFor'));
        $plan = self::plan(new Amendments(['task.onboarding/talk']));
        self::assertSame([], Fixtures::value(self::line($plan, 'task.onboarding/deposit')->effect, 'waitsFor'));
        self::assertSame('', self::line($plan, 'task.onboarding/deposit')->said->note);
    }

    public function testATaskIsChanged(): void
    {
        $plan = self::plan(new Amendments([], ['task.onboarding/talk' => ['name' => 'Long talk', 'assignee' => 'pim', 'due' => '2026-12-24']]));
        $line = self::line($plan, 'task.onboarding/talk');
        self::assertTrue($line->handled->isAmended());
        self::assertSame('Long talk, Pim, Thu 24 December', self::words($line));
        self::assertSame(
            ['Long talk', 'pim', '2026-12-24'],
            [Fixtures::value($line->effect, 'name'), Fixtures::value($line->effect, 'assignee'), Fixtures::value($line->effect, 'due')],
        );
    }

    public function testWhoeverLeadsIsFollowed(): void
    {
        $plan = self::plan(new Amendments([], ['project' => ['title' => 'Keys', 'lead' => 'pim']]));
        self::assertSame('Open Keys for Pim Tarrow, with the note', self::words(self::line($plan, 'project')));
        self::assertSame('your choice', self::line($plan, 'project')->said->reason);
        self::assertSame('pim', Fixtures::value(self::line($plan, 'task.repair/parts')->effect, 'assignee'));
        self::assertSame('pim@marrowby.example', Fixtures::value(self::line($plan, 'message.notice')->effect, 'to'));
    }

    public function testTheReadyByDayIsSetByHandAndWhatIsCountedFromItFollows(): void
    {
        $usual = self::plan(new Amendments());
        $plan = self::plan(new Amendments([], ['project' => ['readyBy' => '2027-06-12']]));
        self::assertSame('Ready by Sat 12 June 2027, in 199 days', self::words(self::line($plan, 'ready_by')));
        self::assertSame('changed by hand', self::line($plan, 'ready_by')->said->reason);
        self::assertSame('2027-06-12', Fixtures::value(self::line($plan, 'project')->effect, 'readyBy'));
        self::assertSame($usual->fingerprint, $plan->fingerprint, 'what somebody chooses changes no fingerprint');
        $this->expectException(InvalidDecision::class);
        self::plan(new Amendments([], ['project' => ['readyBy' => '2027-06-31']]));
    }

    public function testReasonsLeadToWhereTheyStand(): void
    {
        $leads = array_column(self::plan(new Amendments())->toArray()['lines'], 'leads', 'key');
        self::assertSame(['kind' => 'service', 'id' => 'repair'], $leads['project']);
        self::assertSame(['kind' => 'checklist', 'id' => 'onboarding'], $leads['task.onboarding/talk']);
        self::assertSame(['kind' => 'text', 'id' => 'confirmation'], $leads['message.confirmation'] ?? $leads['message.notice']);
        self::assertNull($leads['client']);
        self::assertNull(
            array_column(self::plan(new Amendments(['task.onboarding/talk']))->toArray()['lines'], 'leads', 'key')['task.onboarding/talk'],
            'left out, it leads nowhere',
        );
    }

    public function testLinesAreAdded(): void
    {
        $plan = self::plan(new Amendments(
            [],
            [],
            [['kind' => 'task', 'values' => ['name' => 'Ring']], ['kind' => 'note', 'values' => ['text' => 'The dog bites.']], ['kind' => 'tag', 'values' => ['tag' => 'dog']]],
        ));
        self::assertSame('Ring, Nessa, Thu 26 November', self::words(self::line($plan, 'added.0')));
        self::assertInstanceOf(SetField::class, self::line($plan, 'added.1')->effect);
        self::assertSame(['dog'], Fixtures::value(self::line($plan, 'added.2')->effect, 'tags'));
    }

    public function testValuesOfOtherLinesAreChangedAndTheSentenceWithThem(): void
    {
        $plan = self::plan(new Amendments([], [
            'client' => ['given' => 'Órla', 'email' => 'o@Example.COM', 'phone' => '020 915 0000'],
            'asset' => ['description' => 'Pell grand'],
            'message.confirmation' => ['to' => 'office@example.com'],
        ], [['kind' => 'tag', 'values' => ['tag' => 'dog']], ['kind' => 'owner', 'values' => ['staff' => 'pim']]]));
        $client = self::line($plan, 'client');
        self::assertSame('New client: Órla Fennick, o@example.com, +353 20 915 0000', self::words($client));
        self::assertSame(
            ['Órla', 'Fennick', 'o@example.com', '+353209150000'],
            [
                Fixtures::value($client->effect, 'given'),
                Fixtures::value($client->effect, 'family'),
                Fixtures::value($client->effect, 'email'),
                Fixtures::value($client->effect, 'phone'),
            ],
        );
        self::assertStringStartsWith('Add piano Pell grand', self::words(self::line($plan, 'asset')));
        self::assertSame('office@example.com', Fixtures::value(self::line($plan, 'message.confirmation')->effect, 'to'));
        self::assertTrue($client->handled->isAmended());

        $again = self::plan(new Amendments(
            [],
            ['added.0' => ['tags' => 'dog, , stairs'], 'added.1' => ['value' => 's1']],
            [['kind' => 'tag', 'values' => ['tag' => 'dog']], ['kind' => 'owner', 'values' => ['staff' => 'pim']]],
        ));
        self::assertSame(['dog', 'stairs'], Fixtures::value(self::line($again, 'added.0')->effect, 'tags'));
        self::assertSame('Sorcha Vell looks after the client', self::words(self::line($again, 'added.1')));
    }

    public function testTheFingerprintIsOfThePlanBeforeAnybodyChangedIt(): void
    {
        self::assertSame(
            self::plan(new Amendments())->fingerprint,
            self::plan(new Amendments(['message.notice'], ['project' => ['lead' => 'pim']], [['kind' => 'tag', 'values' => ['tag' => 'x']]]))->fingerprint,
        );
    }

    public function testWhatNamesALineThatIsGoneFallsAway(): void
    {
        self::assertEquals(
            self::plan(new Amendments())->toArray(),
            self::plan(new Amendments(['nowhere'], ['nowhere' => ['name' => 'X'], 'task.onboarding/talk' => ['colour' => 'red'], 'client' => ['name' => 'X']]))->toArray(),
        );
    }

    public function testAChoiceMadeEarlierCountsWhereItIsStillOffered(): void
    {
        $kept = ['ready_by' => '2027-05-04', 'client' => 'same', 'gone' => 'x'];
        self::assertSame([], Fixtures::planner()->plan(Fixtures::input(['wanted_by' => '04/05/2027']), [], $kept)->open());
        self::assertCount(1, Fixtures::planner()->plan(Fixtures::input(['wanted_by' => '04/05/2027']), [], ['ready_by' => '2027-06-06'])->open());
    }

    #[DataProvider('impossible')]
    public function testWhatCannotBeIsRefused(Amendments $amendments, string $path): void
    {
        try {
            self::plan($amendments);
            self::fail('it was taken');
        } catch (InvalidDecision $error) {
            self::assertSame($path, $error->path);
        }
    }

    /** @return iterable<string, array{Amendments, string}> */
    public static function impossible(): iterable
    {
        yield 'a day that is none' => [new Amendments([], ['task.onboarding/talk' => ['due' => '2027-02-30']]), 'task.onboarding/talk.due'];
        yield 'somebody who is not here' => [new Amendments([], ['task.onboarding/talk' => ['assignee' => 'zed']]), 'task.onboarding/talk.assignee'];
        yield 'a mail address that is none' => [new Amendments([], ['client' => ['email' => 'at home']]), 'client.email'];
        yield 'a phone number that is none' => [new Amendments([], ['client' => ['phone' => 'ask']]), 'client.phone'];
        yield 'a stage that is none' => [new Amendments([], ['project' => ['stage' => 'Limbo']]), 'project.stage'];
        yield 'an owner who is not here' => [new Amendments([], [], [['kind' => 'owner', 'values' => ['staff' => 'zed']]]), 'added.0.staff'];
        yield 'nothing added' => [new Amendments([], [], [['kind' => 'note', 'values' => ['text' => ' ']]]), 'added.0'];
        yield 'something that cannot be added' => [new Amendments([], [], [['kind' => 'song', 'values' => ['text' => 'la']]]), 'added.0'];
        yield 'a task by a day that is none' => [new Amendments([], [], [['kind' => 'task', 'values' => ['name' => 'X', 'due' => 'soon']]]), 'added.0.due'];
    }

    private static function plan(Amendments $amendments): Plan
    {
        $staff = array_column([new StaffMember('pim', 'Pim Tarrow', 'pim@marrowby.example'), new StaffMember('s1', 'Sorcha Vell', 'sorcha@marrowby.example')], null, 'id');

        return Fixtures::planner()->plan(Fixtures::context(Fixtures::input(), new Ruling(new RuleBook([], $staff)), amendments: $amendments));
    }

    private static function line(Plan $plan, string $key): PlanLine
    {
        foreach ($plan->lines as $line) {
            if ($line->key === $key) {
                return $line;
            }
        }
        self::fail("no line $key");
    }

    private static function words(PlanLine $line): string
    {
        return implode('', array_map(static fn ($part): string => $part->text, $line->said->parts));
    }
}

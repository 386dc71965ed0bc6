<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Planning;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Form\Purpose;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Plan\InvalidDecision;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Plan\SentBefore;
use Telamon\Core\Planning\Naming;
use Telamon\Core\Planning\Plan;
use Telamon\Core\Tests\Fixtures;

final class PlannerTest extends TestCase
{
    public function testTheFingerprintIsOfNamesAndValuesNotOfWords(): void
    {
        $usual = Fixtures::input();
        $told = static fn (string $assetWord): Plan => Fixtures::planner()->plan(Fixtures::context($usual, naming: new Naming($assetWord)));
        self::assertSame($told('piano')->fingerprint, $told('harmonium')->fingerprint, 'the same plan in other words');
        self::assertNotSame(
            Fixtures::planner()->plan(Fixtures::input(['place' => '8 Weir Cottages, Marrowby']))->fingerprint,
            Fixtures::planner()->plan(Fixtures::input())->fingerprint,
        );
        self::assertNotSame(
            Fixtures::planner()->plan(Fixtures::input(['matter' => 'It hums.']))->fingerprint,
            Fixtures::planner()->plan(Fixtures::input())->fingerprint,
            'nor what only the notes hold',
        );
    }

    public function testAPlanReadsAsWhatWillHappen(): void
    {
        $plan = Fixtures::planner()->plan(Fixtures::input(['wanted_by' => '2026-12-18', 'photos' => ['u1', 'u2']]));
        self::assertSame([
            'Client: New client: Orla Fennick¹, orla@example.com², +353 20 914 3327³ (nobody like this on file)',
            'Project: Open Repair⁴ for Sorcha Vell, with the note⁸ (Repairs go to Sorcha)',
            'Project: Add piano Pell & Thrane upright⁵, at 7 Weir Cottages, Marrowby⁶',
            'Project: Ready by Fri 18 December⁷, in 23 days',
            'Tasks: First talk, Nessa, Thu 26 November (Onboarding)',
            'Tasks: Order the parts, Sorcha, Wed 16 December (Repair)',
            'Tasks: Ask for the deposit, Nessa, Wed 2 December (Onboarding)',
            'Files: Put 2 files¹⁰ with the piano and the project',
            'Files: Keep the answers as they came with the project, as a PDF',
            'Messages: Send “We have your inquiry” to orla@example.com² (Confirm every inquiry)',
            'Messages: Tell Sorcha Vell at sorcha@marrowby.example (Tell whoever leads)',
        ], self::sentences($plan));
        self::assertSame([], $plan->open());
    }

    public function testWhereAThingStandsIsNoAddressOfTheClientAndIsNotedWhereNoThingIsNamed(): void
    {
        $known = new KnownClient('c1', 'Orla Fennick', 2023, ['orla@example.com'], ['+353209143327'], '', [], [], 'Orla', 'Fennick');
        foreach ([[], [$known]] as $clients) {
            $lines = Fixtures::planner()->plan(Fixtures::input([], $clients));
            self::assertNotContains('field.address', array_column($lines->lines, 'key'));
            self::assertSame('7 Weir Cottages, Marrowby', Fixtures::value(self::line($lines, 'asset')->effect, 'place'));
        }
        $without = Fixtures::planner()->plan(Fixtures::input(['piano' => '']));
        self::assertNotContains('asset', array_column($without->lines, 'key'));
        self::assertSame('', Fixtures::value(self::line($without, 'client')->effect, 'address'));
        self::assertStringContainsString(
            '7 Weir Cottages, Marrowby',
            (string) json_encode(Fixtures::value(self::line($without, 'project')->effect, 'notes'), \JSON_UNESCAPED_UNICODE),
        );
        self::assertStringNotContainsString(
            'Weir Cottages',
            (string) json_encode(Fixtures::value(self::line(Fixtures::planner()->plan(Fixtures::input()), 'project')->effect, 'notes'), \JSON_UNESCAPED_UNICODE),
        );
    }

    public function testTheSameInputGivesTheSamePlanByteForByte(): void
    {
        $one = Fixtures::planner()->plan(Fixtures::input(['wanted_by' => '04/05/2027'], [Fixtures::known()]));
        $two = Fixtures::planner()->plan(Fixtures::input(['wanted_by' => '04/05/2027'], [Fixtures::known()]));
        self::assertSame(json_encode($one->toArray()), json_encode($two->toArray()));
    }

    public function testTheFingerprintChangesWithWhatIsPlannedNotWithChoices(): void
    {
        $planner = Fixtures::planner();
        $input = Fixtures::input(['wanted_by' => '04/05/2027']);
        $plan = $planner->plan($input);
        self::assertSame($plan->fingerprint, $planner->plan($input, ['ready_by' => '2027-05-04'])->fingerprint);
        self::assertNotSame($plan->fingerprint, $planner->plan(Fixtures::input(['wanted_by' => '04/06/2027']))->fingerprint);
        self::assertNotSame($plan->fingerprint, $planner->plan(Fixtures::input(['wanted_by' => '04/05/2027'], [Fixtures::known()]))->fingerprint);
        self::assertNotSame(
            $planner->plan(Fixtures::input([], [Fixtures::known(phone: '+353209140000')]))->fingerprint,
            $planner->plan(Fixtures::input([], [Fixtures::known(phone: '+353209140001')]))->fingerprint,
        );
    }

    public function testAnAmbiguousDayIsAskedNeverGuessed(): void
    {
        $input = Fixtures::input(['wanted_by' => '04/05/2027']);
        $open = Fixtures::planner()->plan($input)->open();
        self::assertCount(1, $open);
        self::assertNotNull($open[0]->choice);
        self::assertNull($open[0]->choice->chosen);
        self::assertSame(['2027-04-05', '2027-05-04'], array_column($open[0]->choice->options, 'value'));
        self::assertSame('Tue 4 May 2027, in 160 days', $open[0]->choice->options[1]['label']);
        $decided = Fixtures::planner()->plan($input, ['ready_by' => '2027-05-04']);
        self::assertSame([], $decided->open());
        self::assertSame('2027-05-04', Fixtures::value(self::line($decided, 'project')->effect, 'readyBy'));
        self::assertSame('2027-04-30', Fixtures::value(self::line($decided, 'task.repair/parts')->effect, 'due'), 'the date follows the choice');
    }

    public function testWhatCannotBeReadAndMattersIsAskedAndTheRestIsNoted(): void
    {
        $input = Fixtures::input(['email' => 'orla at example', 'phone' => 'ask my wife', 'wanted_by' => 'before Easter']);
        $open = Fixtures::planner()->plan($input)->open();
        self::assertSame(['unread.email', 'unread.wanted_by'], array_map(static fn (PlanLine $line): string => $line->key, $open));
        $decided = Fixtures::planner()->plan($input, ['unread.email' => 'without', 'unread.wanted_by' => 'without']);
        self::assertSame([], $decided->open());
        $notes = Fixtures::text(self::line($decided, 'project')->effect, 'notes');
        foreach (['orla at example', 'ask my wife', 'before Easter'] as $text) {
            self::assertStringContainsString($text, $notes, 'nothing that was written is lost');
        }
    }

    public function testWhatIsAddedToAnOpenProjectLosesNoAnswer(): void
    {
        $open = [['id' => 'p1', 'number' => 'P-0001', 'title' => 'Repair', 'lead' => 's1', 'opened' => '2026-11-20']];
        $client = new KnownClient('c1', 'Orla Fennick', 2023, ['orla@example.com'], ['+353209143327'], '7 Weir Cottages, Marrowby', [], [], 'Orla', 'Fennick', $open);
        $line = self::line(Fixtures::planner()->plan(Fixtures::input(['wanted_by' => '12 June 2027'], [$client]), ['project' => 'p1']), 'project');
        self::assertSame('project.use', Fixtures::name($line->effect));
        self::assertSame(1, substr_count(Fixtures::text($line->effect, 'notes'), 'Keys stick.'));
        foreach (["What should we do?\nRepair it", "By when?\n12 June 2027"] as $told) {
            self::assertStringContainsString($told, Fixtures::text($line->effect, 'notes'));
        }
    }

    public function testASourceThatSaysItsOrderIsNotAsked(): void
    {
        $plan = Fixtures::planner()->plan(Fixtures::input(['wanted_by' => '04/05/2027'], dayOrder: 'month-first'));
        self::assertSame('2027-04-05', Fixtures::value(self::line($plan, 'project')->effect, 'readyBy'));
    }

    public function testAKnownClientIsTheSameUnlessSheSaysNew(): void
    {
        $input = Fixtures::input([], [Fixtures::known(phone: '+353209140000')]);
        $line = self::line(Fixtures::planner()->plan($input), 'client');
        self::assertSame('client.use', Fixtures::name($line->effect));
        $phone = self::line(Fixtures::planner()->plan($input), 'field.phone');
        self::assertSame(
            ['phone', '+353209143327', 'add'],
            [Fixtures::value($phone->effect, 'field'), Fixtures::value($phone->effect, 'value'), Fixtures::value($phone->effect, 'mode')],
            'the new number is kept beside the old one',
        );
        self::assertSame(
            [],
            array_filter(Fixtures::planner()->plan($input)->lines, static fn (PlanLine $line): bool => 'field.email' === $line->key),
            'what is on file as it was written needs no line',
        );
        $new = self::line(Fixtures::planner()->plan($input, ['client' => 'new']), 'client');
        self::assertSame('client.create', Fixtures::name($new->effect));
    }

    public function testTwoRecordsOfOnePersonAreAsked(): void
    {
        $input = Fixtures::input([], [Fixtures::known('c1'), Fixtures::known('c2')]);
        $open = Fixtures::planner()->plan($input)->open();
        self::assertSame(['c1', 'c2', 'new'], array_column($open[0]->choice->options ?? [], 'value'));
        self::assertSame(['1', '2', 'N'], array_column($open[0]->choice->options ?? [], 'hotkey'));
        self::assertSame('c2', Fixtures::value(self::line(Fixtures::planner()->plan($input, ['client' => 'c2']), 'client')->effect, 'id'));
        self::assertSame('client.create', Fixtures::name(self::line(Fixtures::planner()->plan($input, ['client' => 'new']), 'client')->effect));
    }

    public function testSomebodyNewWhoMightBeTheSameIsRememberedAsToldApart(): void
    {
        $two = Fixtures::input([], [Fixtures::known('c1'), Fixtures::known('c2')]);
        self::assertSame(['c1', 'c2'], Fixtures::value(self::line(Fixtures::planner()->plan($two, ['client' => 'new']), 'client.apart')->effect, 'from'));
        $household = Fixtures::input(
            [],
            [new KnownClient('c1', 'Wilf Fennick', 2023, ['orla@example.com'], ['+353209143327'], '7 Weir Cottages, Marrowby', [], [], 'Wilf', 'Fennick')],
        );
        self::assertNotContains(
            'client.apart',
            array_column(Fixtures::planner()->plan($household, ['client' => 'new'])->lines, 'key'),
            'of a household nobody takes one for the other',
        );
    }

    public function testWhoMayBeTheSameIsAskedAbout(): void
    {
        $input = Fixtures::input([], [new KnownClient('c1', 'Orla Ambry', 2023, ['orla@example.com'], ['+353209171044'], '9 Mill Race, Saltfold', [], [], 'Orla', 'Ambry')]);
        $line = Fixtures::planner()->plan($input)->open()[0];
        self::assertNull($line->effect);
        self::assertMatchesRegularExpression('/^\d+ % one person: same mail, given name$/', $line->said->reason);
        self::assertSame(['Name', 'Email', 'Phone', 'Where it stands'], array_column($line->compared, 'field'));
        self::assertSame('client.use', Fixtures::name(self::line(Fixtures::planner()->plan($input, ['client' => 'same']), 'client')->effect));
    }

    public function testAnotherOfAHouseholdIsAClientOfTheirOwn(): void
    {
        $input = Fixtures::input(
            [],
            [new KnownClient('c1', 'Wilf Fennick', 2023, ['orla@example.com'], ['+353209143327'], '7 Weir Cottages, Marrowby', [], [], 'Wilf', 'Fennick')],
        );
        $plan = Fixtures::planner()->plan($input);
        self::assertSame([], $plan->open(), 'nothing to decide');
        $line = self::line($plan, 'client');
        self::assertSame('client.create', Fixtures::name($line->effect));
        self::assertStringStartsWith('same household, another given name: same ', $line->said->reason);
        $link = self::line($plan, 'client.link')->effect;
        self::assertSame(['client.link', 'c1', 'household'], [Fixtures::name($link), Fixtures::value($link, 'to'), Fixtures::value($link, 'kind')]);
        self::assertSame(['same', 'new', 'unrelated'], array_column($line->choice->options ?? [], 'value'), 'and it can be said otherwise');
        $refused = Fixtures::planner()->plan($input, ['client' => 'unrelated']);
        self::assertSame(
            ['client', 'client.apart'],
            array_values(array_filter(array_column($refused->lines, 'key'), static fn (string $key): bool => str_starts_with($key, 'client'))),
            'no household: nothing links them',
        );
        self::assertSame(['c1'], Fixtures::value(self::line($refused, 'client.apart')->effect, 'from'), 'and nobody is asked again');
    }

    public function testAnAssetOnFileIsUsedAgain(): void
    {
        $plan = Fixtures::planner()->plan(Fixtures::input([], [Fixtures::known(assets: [['id' => 'a1', 'description' => 'PELL & Thrane Upright']])]));
        self::assertSame('asset.use', Fixtures::name(self::line($plan, 'asset')->effect));
    }

    public function testWithoutAServiceTheCoordinatorLeads(): void
    {
        $plan = Fixtures::planner()->plan(Fixtures::input(['service' => 'other']));
        self::assertSame('s2', Fixtures::value(self::line($plan, 'project')->effect, 'lead'));
        self::assertCount(2, array_filter($plan->lines, static fn (PlanLine $line): bool => 'Tasks' === $line->group));
    }

    public function testAnAnswerWithoutADestinationIsKeptInTheNotes(): void
    {
        $notes = Fixtures::value(self::line(Fixtures::planner()->plan(Fixtures::input(['found_us' => 'Your card'])), 'project')->effect, 'notes');
        self::assertSame("What is the matter?\nKeys stick.\n\nHow did you find us?\nYour card", $notes);
    }

    public function testWhatWasSentBeforeIsNotSentAgain(): void
    {
        $first = Fixtures::planner()->plan(Fixtures::input());
        $says = Fixtures::text(self::line($first, 'message.confirmation')->effect, 'says');
        $sent = new SentBefore('confirmation', 'orla@example.com', $says, '2026-11-24');
        $plan = Fixtures::planner()->plan(Fixtures::input([], [], [$sent]));
        self::assertNull(self::line($plan, 'message.confirmation')->effect);
        self::assertNull(self::line($plan, 'message.confirmation')->choice);
        self::assertNotNull(self::line($plan, 'message.notice')->effect);
        // To somebody else, nothing was sent.
        self::assertNotNull(self::line(Fixtures::planner()->plan(Fixtures::input(['email' => 'o.fennick@example.com'], [], [$sent])), 'message.confirmation')->effect);
    }

    public function testWhatWouldBeSaidOtherwiseNowIsOfferedAsACorrection(): void
    {
        $sent = [new SentBefore('confirmation', 'orla@example.com', 'something else', '2026-11-24')];
        $open = self::line(Fixtures::planner()->plan(Fixtures::input([], [], $sent)), 'message.confirmation');
        self::assertTrue($open->isOpen());
        self::assertNull($open->effect);
        $send = self::line(Fixtures::planner()->plan(Fixtures::input([], [], $sent), ['message.confirmation.again' => 'send']), 'message.confirmation');
        self::assertSame('orla@example.com', Fixtures::value($send->effect, 'to'));
        self::assertNull(self::line(Fixtures::planner()->plan(Fixtures::input([], [], $sent), ['message.confirmation.again' => 'leave']), 'message.confirmation')->effect);
    }

    public function testWhoLeadsTheProjectThatItIsAddedToIsTold(): void
    {
        $known = Fixtures::known(open: [['id' => 'p7', 'number' => 'P-0074', 'title' => 'Repair', 'lead' => 's2', 'opened' => '2026-11-20']]);
        $plan = Fixtures::planner()->plan(Fixtures::input([], [$known]), ['client' => 'same', 'project' => 'p7']);
        $effect = self::line($plan, 'message.added')->effect;
        self::assertSame('nessa@marrowby.example', Fixtures::value($effect, 'to'), 'not Sorcha, who usually leads repairs');
        self::assertSame([], array_filter($plan->lines, static fn (PlanLine $line): bool => 'message.notice' === $line->key));
    }

    public function testAFormThatIsOnlyFiledOpensNothingAndWritesToNobody(): void
    {
        $plan = Fixtures::planner()->plan(Fixtures::input(purpose: Purpose::File));
        self::assertSame(['Client', 'Project', 'Files'], array_values(array_unique(array_map(static fn (PlanLine $line): string => $line->group, $plan->lines))));
        self::assertNull(self::line($plan, 'project')->effect);
    }

    public function testAFormThatAddsTakesTheOnlyProjectThatIsOpenAndAsksWhichOfSeveral(): void
    {
        $known = Fixtures::known(open: [['id' => 'p7', 'number' => 'P-0074', 'title' => 'Repair', 'lead' => 's2', 'opened' => '2026-11-20']]);
        $plan = Fixtures::planner()->plan(Fixtures::input([], [$known], purpose: Purpose::Add), ['client' => 'same']);
        self::assertSame(['new', 'p7', 'file'], array_column(self::line($plan, 'project')->choice->options ?? [], 'value'));
        self::assertSame('p7', self::line($plan, 'project')->choice?->chosen);
        $several = Fixtures::known(open: [['id' => 'p7', 'number' => 'P-0074', 'title' => 'Repair', 'lead' => 's2', 'opened' => '2026-11-20'], ['id' => 'p8', 'number' => 'P-0080', 'title' => 'Tuning', 'lead' => 's2', 'opened' => '2026-11-21']]);
        self::assertTrue(self::line(Fixtures::planner()->plan(Fixtures::input([], [$several], purpose: Purpose::Add), ['client' => 'same']), 'project')->isOpen());
        self::assertTrue(self::line(Fixtures::planner()->plan(Fixtures::input(purpose: Purpose::Add)), 'project')->isOpen(), 'also where nobody like them is on file');
        $filed = Fixtures::planner()->plan(Fixtures::input(purpose: Purpose::Add), ['project' => 'file']);
        self::assertSame([], $filed->open());
    }

    public function testADayThatCannotBeMetIsAQuestion(): void
    {
        $plan = Fixtures::planner()->plan(Fixtures::input(['wanted_by' => '2026-11-25']));
        self::assertTrue(self::line($plan, 'late')->isOpen());
        self::assertStringContainsString('Order the parts', implode('', array_map(static fn (Part $part): string => $part->text, self::line($plan, 'late')->said->parts)));
        self::assertSame([], Fixtures::planner()->plan(Fixtures::input(['wanted_by' => '2026-11-25']), ['late' => 'go-on'])->open());
    }

    public function testADecisionThePlanDoesNotOfferIsRefused(): void
    {
        $this->expectException(InvalidDecision::class);
        Fixtures::planner()->plan(Fixtures::input(), ['ready_by' => '2027-05-04']);
    }

    public function testAValueThatIsNotOfferedIsRefused(): void
    {
        $this->expectException(InvalidDecision::class);
        Fixtures::planner()->plan(Fixtures::input(['wanted_by' => '04/05/2027']), ['ready_by' => '2027-06-06']);
    }

    public function testTheLeastThatCanBeAnsweredMakesAPlan(): void
    {
        $plan = Fixtures::planner()->plan(Fixtures::input(['phone' => null, 'service' => null, 'piano' => null, 'place' => null, 'matter' => null]));
        self::assertSame('Client: New client: Orla Fennick¹, orla@example.com² (nobody like this on file)', self::sentences($plan)[0]);
        self::assertSame('Project: Open Inquiry for Nessa Quarle (no service named, so it stays with the coordinator)', self::sentences($plan)[1]);
    }

    private static function line(Plan $plan, string $key): PlanLine
    {
        foreach ($plan->lines as $line) {
            if ($line->key === $key) {
                return $line;
            }
        }
        self::fail("the plan has no line $key");
    }

    /** @return list<string> each line as it is read, with the numbers of the answers raised */
    private static function sentences(Plan $plan): array
    {
        $raised = ['0' => '⁰', '1' => '¹', '2' => '²', '3' => '³', '4' => '⁴', '5' => '⁵', '6' => '⁶', '7' => '⁷', '8' => '⁸', '9' => '⁹'];

        return array_map(static fn (PlanLine $line): string => "{$line->group}: ".implode('', array_map(static fn (Part $part): string => $part->text.strtr((string) $part->answer, $raised), $line->said->parts)).('' === $line->said->reason ? '' : " ({$line->said->reason})"), $plan->lines);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Planning;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Form\CustomField;
use Telamon\Core\Form\CustomKind;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Matching\Candidate;
use Telamon\Core\Matching\Judgement;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Matching\Verdict;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\Inquiry;
use Telamon\Core\Planning\Naming;
use Telamon\Core\Planning\OnFile;
use Telamon\Core\Planning\Plan;
use Telamon\Core\Tests\Fixtures;

/** What answers change beyond the usual records. */
final class FieldLinesTest extends TestCase
{
    public function testEveryDestinationHasItsLine(): void
    {
        $plan = self::plan([
            ['key' => 'name', 'type' => 'name-parts', 'destination' => 'client.name'],
            ['key' => 'school', 'type' => 'organisation', 'destination' => 'client.organisation'],
            ['key' => 'found', 'type' => 'any-of', 'destination' => 'client.tags', 'options' => [['value' => 'f', 'label' => 'friend'], ['value' => 's', 'label' => 'search']]],
            ['key' => 'who', 'type' => 'short-text', 'destination' => 'contact.name'],
            ['key' => 'who_mail', 'type' => 'email', 'destination' => 'contact.email'],
            ['key' => 'floor', 'type' => 'number', 'destination' => 'custom.client.floor'],
            ['key' => 'budget', 'type' => 'money', 'destination' => 'project.budget'],
            ['key' => 'when', 'type' => 'day-span', 'destination' => 'appointment.wish', 'wording' => 'When?'],
            ['key' => 'time', 'type' => 'one-of', 'destination' => 'appointment.wish', 'wording' => 'At what time?', 'options' => [['value' => 'm', 'label' => 'Mornings']]],
            ['key' => 'parts', 'type' => 'short-text', 'destination' => 'quote.wish', 'wording' => 'What for?'],
            ['key' => 'todo', 'type' => 'any-of', 'destination' => 'task', 'options' => [['value' => 'k', 'label' => 'Bring the key'], ['value' => 'c', 'label' => 'Call before']]],
        ], [
            'name' => ['given' => 'Orla', 'family' => 'de Fennick'], 'school' => 'Quarry Hall', 'found' => ['f', 's'], 'who' => 'Tadg',
            'who_mail' => 'tadg@example.com', 'floor' => '3',
            'budget' => '250.00', 'when' => ['from' => '2026-12-01', 'to' => '2026-12-04'], 'time' => 'm', 'parts' => 'new hammers', 'todo' => ['c', 'k'],
        ]);
        $told = self::sentences($plan);
        foreach ([
            'Client: New client: Orla de Fennick¹',
            'Client: Organisation: Quarry Hall²',
            'Client: Tag the client friend, search³',
            'Client: Add the contact Tadg⁴, tadg@example.com⁵',
            'Client: Floor: 3⁶',
            'Project: Budget: 250.00⁷',
            'Project: Wish for an appointment: 2026-12-01 to 2026-12-04⁸; Mornings⁹',
            'Project: Wish for the quote: new hammers¹⁰',
            'Tasks: Call before¹¹, Nessa, Thu 26 November',
            'Tasks: Bring the key¹¹, Nessa, Thu 26 November',
        ] as $sentence) {
            self::assertContains($sentence, $told);
        }
        self::assertSame(['Orla', 'de Fennick'], [Fixtures::value(self::effect($plan, 'client'), 'given'), Fixtures::value(self::effect($plan, 'client'), 'family')]);
        self::assertSame("When? 2026-12-01 to 2026-12-04\nAt what time? Mornings", Fixtures::value(self::effect($plan, 'wish.appointment'), 'text'));
        self::assertSame('custom.floor', Fixtures::value(self::effect($plan, 'field.floor'), 'field'));
        self::assertSame([3, 4], [Fixtures::value(self::effect($plan, 'task.todo.1'), 'position'), Fixtures::value(self::effect($plan, 'task.todo.2'), 'position')]);
        self::assertStringNotContainsString('Quarry', Fixtures::text(self::effect($plan, 'project'), 'notes'), 'what has a place is not told in the notes too');
    }

    public function testATableMakesAnAssetOfEachLine(): void
    {
        $question = ['key' => 'pianos', 'type' => 'lines', 'wording' => 'Pianos', 'lines' => [
            ['key' => 'make', 'type' => 'short-text', 'wording' => 'Make', 'destination' => 'asset.make'],
            ['key' => 'serial', 'type' => 'short-text', 'wording' => 'Number', 'destination' => 'asset.serial'],
            ['key' => 'floor', 'type' => 'number', 'wording' => 'Floor', 'destination' => 'custom.asset.floor'],
        ]];
        $plan = self::plan(
            [$question],
            ['pianos' => [['make' => 'Pell', 'floor' => '2'], ['make' => 'Thrane', 'serial' => '48 217']]],
            Fixtures::known(assets: [['id' => 'a1', 'description' => 'Thrane grand', 'serial' => '48217']]),
        );
        $told = self::sentences($plan);
        self::assertContains('Project: Add piano Pell¹', $told);
        self::assertContains('Project: The piano on file: Thrane grand (same serial number)', $told);
        self::assertSame(['Pell', ['floor' => '2']], [Fixtures::value(self::effect($plan, 'asset'), 'description'), Fixtures::value(self::effect($plan, 'asset'), 'custom')]);
        self::assertStringContainsString('Make: Thrane, Number: 48 217', Fixtures::text(self::effect($plan, 'project'), 'notes'));
    }

    public function testTwoHundredAnswersAndAPlanOfFiveHundredLines(): void
    {
        $options = array_map(static fn (int $i): array => ['value' => "o$i", 'label' => "Wish $i"], range(1, 350));
        $questions = [['key' => 'wishes', 'type' => 'any-of', 'wording' => 'Wishes', 'options' => $options, 'destination' => 'task']];
        $answers = ['wishes' => array_column($options, 'value')];
        for ($i = 1; $i < 200; ++$i) {
            $questions[] = ['key' => "q$i", 'type' => 'short-text', 'wording' => "Question $i", 'destination' => 0 === $i % 2 ? 'client.tags' : 'task'];
            $answers["q$i"] = "answer $i";
        }
        $plan = self::plan($questions, $answers);
        self::assertGreaterThanOrEqual(450, \count($plan->lines));
        $positions = array_map(
            static fn (PlanLine $line): mixed => Fixtures::value($line->effect, 'position'),
            array_filter($plan->lines, static fn (PlanLine $line): bool => 'Tasks' === $line->group),
        );
        self::assertSame(range(1, \count($positions)), array_values($positions), 'each task has a number of its own');
        self::assertCount(\count($plan->lines), array_unique(array_map(static fn (PlanLine $line): string => $line->key, $plan->lines)), 'and each line a key of its own');
    }

    public function testWhatIsOnFileIsKeptAndSaid(): void
    {
        $client = new KnownClient('c1', 'Orla Fennick', 2023, ['orla@example.com'], [], '', [], ['organisation' => 'Quarry Hall', 'custom.floor' => '3']);
        $form = [
            ['key' => 'school', 'type' => 'organisation', 'destination' => 'client.organisation'],
            ['key' => 'floor', 'type' => 'number', 'destination' => 'custom.client.floor'],
        ];
        $differs = self::plan($form, ['school' => 'Weir School', 'floor' => '3'], $client);
        self::assertContains('Client: Organisation stays Quarry Hall; they wrote Weir School¹ (on file already)', self::sentences($differs));
        self::assertContains('Client: Floor: 3² (as on file)', self::sentences($differs));
        self::assertNull(self::line($differs, 'field.school')->effect);
        self::assertNull(self::line($differs, 'field.floor')->effect);
    }

    public function testADayInDoubtForAFieldIsAsked(): void
    {
        $form = [['key' => 'bought', 'type' => 'day', 'destination' => 'custom.client.bought']];
        $open = self::plan($form, ['bought' => '04/05/2027'])->open();
        self::assertSame('field.bought', $open[0]->choice?->key);
        $decided = self::plan($form, ['bought' => '04/05/2027'], null, ['field.bought' => '2027-05-04']);
        self::assertSame('2027-05-04', Fixtures::value(self::effect($decided, 'field.bought'), 'value'));
    }

    public function testAFieldThatIsGoneSendsTheAnswerToTheNotes(): void
    {
        $plan = self::plan([['key' => 'hue', 'type' => 'short-text', 'wording' => 'What colour?', 'destination' => 'custom.client.hue']], ['hue' => 'walnut']);
        self::assertStringContainsString("What colour?\nwalnut", Fixtures::text(self::effect($plan, 'project'), 'notes'));
    }

    public function testWhatIsToldOfAnAssetThatNobodyNamedStandsInTheNotes(): void
    {
        $plan = self::plan([['key' => 'floor', 'type' => 'number', 'wording' => 'Which floor?', 'destination' => 'custom.asset.floor']], ['floor' => '2']);
        self::assertStringContainsString("Which floor?\n2", Fixtures::text(self::effect($plan, 'project'), 'notes'));
    }

    /**
     * @param list<array<string, mixed>> $questions
     * @param array<string, mixed> $answers
     * @param array<string, string> $decisions
     */
    private static function plan(array $questions, array $answers, ?KnownClient $known = null, array $decisions = []): Plan
    {
        $form = FormDefinition::fromArray(['pages' => [['key' => 'p', 'questions' => $questions]]]);
        $context = Fixtures::context(
            Fixtures::input(),
            naming: new Naming(
                'piano',
                [
                    'custom.client.floor' => new CustomField('client', 'floor', 'Floor', CustomKind::Number),
                    'custom.asset.floor' => new CustomField('asset', 'floor', 'Floor', CustomKind::Number),
                    'custom.client.bought' => new CustomField('client', 'bought', 'Bought on', CustomKind::Day),
                ],
            ),
            onFile: new OnFile(null === $known ? [] : [new Candidate($known, new Judgement(1, 0, Verdict::Same, [], []))]),
            inquiry: new Inquiry(Fixtures::reader()->read($form, $answers)),
        );

        return Fixtures::planner()->plan($context, $decisions);
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

    private static function effect(Plan $plan, string $key): Effect
    {
        return self::line($plan, $key)->effect ?? self::fail("$key does nothing");
    }

    /** @return list<string> */
    private static function sentences(Plan $plan): array
    {
        $small = static fn (int $number): string => strtr((string) $number, ['⁰', '¹', '²', '³', '⁴', '⁵', '⁶', '⁷', '⁸', '⁹']);

        return array_map(static fn (PlanLine $line): string => "{$line->group}: "
            .implode('', array_map(static fn (Part $part): string => $part->text.(null === $part->answer ? '' : $small($part->answer)), $line->said->parts))
            .(\in_array($line->said->reason, ['on file already', 'as on file', 'same serial number'], true) ? " ({$line->said->reason})" : ''), $plan->lines);
    }
}

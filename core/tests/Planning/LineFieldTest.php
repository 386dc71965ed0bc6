<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Effects\AddContact;
use Telamon\Core\Effects\AddTags;
use Telamon\Core\Effects\AddTask;
use Telamon\Core\Effects\AddWish;
use Telamon\Core\Effects\AttachFiles;
use Telamon\Core\Effects\KeepSheet;
use Telamon\Core\Effects\MakeAsset;
use Telamon\Core\Effects\MakeClient;
use Telamon\Core\Effects\OpenProject;
use Telamon\Core\Effects\QueueMessage;
use Telamon\Core\Effects\SetField;
use Telamon\Core\Effects\UseClient;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\Reading;
use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\InvalidDecision;
use Telamon\Core\Plan\LineField;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Planning\Amender;
use Telamon\Core\Planning\Amendments;
use Telamon\Core\Tests\Fixtures;

/** What may be changed of a plan line, and what the line says then. */
final class LineFieldTest extends TestCase
{
    /**
     * @param array<string, string> $expected kind by field
     */
    #[DataProvider('lines')]
    public function testWhatMayBeChanged(Effect $effect, array $expected): void
    {
        $fields = $effect instanceof Changeable ? $effect->fields() : [];
        self::assertSame(
            array_map(static fn (LineField $field): array => $field->toArray(), $fields),
            PlanLine::of('k', 'G', $effect, Fixtures::input()->telling)->toArray(1)['fields'],
        );
        self::assertSame(
            $expected,
            array_combine(array_map(static fn (LineField $field): string => $field->key, $fields), array_map(static fn (LineField $field): string => $field->kind, $fields)),
        );
        self::assertSame($fields, array_values(array_filter($fields, static fn (LineField $field): bool => '' !== $field->label)), 'each has a name');
    }

    /** @return iterable<string, array{Effect, array<string, string>}> */
    public static function lines(): iterable
    {
        yield 'a task' => [new AddTask(1, 'Talk', 's', '2026-11-26'), ['name' => 'text', 'assignee' => 'staff', 'due' => 'day']];
        yield 'a project' => [new OpenProject('Repair', 's'), ['title' => 'text', 'lead' => 'staff', 'stage' => 'stage', 'readyBy' => 'day']];
        yield 'a new client' => [new MakeClient('O', 'F', '', '', ''), ['given' => 'text', 'family' => 'text', 'email' => 'text', 'phone' => 'text', 'address' => 'text']];
        yield 'an asset' => [new MakeAsset('Upright', ''), ['description' => 'text', 'serial' => 'text', 'place' => 'text']];
        yield 'a contact' => [new AddContact('Tadg'), ['name' => 'text', 'role' => 'text', 'email' => 'text', 'phone' => 'text']];
        yield 'tags' => [new AddTags('client', ['a', 'b']), ['tags' => 'text']];
        yield 'a wish' => [new AddWish('quote', 'hammers'), ['text' => 'text']];
        yield 'a message' => [QueueMessage::toClient('confirmation', 'o@example.com'), ['to' => 'text']];
        yield 'a field' => [SetField::to('client', 'organisation', 'Hall'), ['value' => 'text']];
        yield 'a day' => [SetField::to('client', 'custom.since', '2026-11-25'), ['value' => 'day']];
        yield 'an owner' => [SetField::to('client', 'owner', 's'), ['value' => 'staff']];
        yield 'somebody on file' => [new UseClient('c1'), []];
        yield 'files' => [new AttachFiles('photos'), []];
        yield 'the sheet' => [new KeepSheet(), []];
    }

    public function testALineThatOnlyTellsCannotBeChanged(): void
    {
        self::assertSame([], PlanLine::telling('k', 'G', 'x')->toArray(1)['fields']);
    }

    /**
     * @param array<string, int> $from number of the answer by value
     * @param array<string, string> $changes
     */
    #[DataProvider('changes')]
    public function testTheSentenceFollows(Changeable $effect, array $from, array $changes, string $expected): void
    {
        $readings = array_map(static fn (int $number): Reading => new Reading(self::asked($number), '', ''), $from);
        $line = PlanLine::of('k', 'G', $effect, Fixtures::input()->telling, Sources::of($readings));
        $changed = self::amended($line, $changes);
        self::assertSame(
            $expected,
            implode('', array_map(static fn (Part $part): string => $part->text.(null === $part->answer ? '' : "[{$part->answer}]"), $changed->said->parts)),
        );
        self::assertTrue($changed->handled->isAmended());
    }

    /** @return iterable<string, array{Changeable, array<string, int>, array<string, string>, string}> */
    public static function changes(): iterable
    {
        yield 'a value in its place' => [SetField::to('project', 'budget', '500'), ['value' => 3], ['value' => '600'], 'Budget: 600'];
        yield 'a day in words' => [SetField::to('client', 'custom.since', '2026-11-26'), ['value' => 2], ['value' => '2026-12-24'], 'Custom.since: Thu 24 December'];
        yield 'a number as people write it' => [
            new AddContact('Tadg', phone: '+353209143327'),
            ['name' => 1, 'phone' => 2],
            ['phone' => '020 915 0000'],
            'Add the contact Tadg[1], +353 20 915 0000',
        ];
        yield 'one that the sentence did not say' => [new AddContact('Tadg'), ['name' => 1], ['role' => 'caretaker'], 'Add the contact Tadg[1], caretaker'];
        yield 'tags' => [new AddTags('project', ['stairs']), [], ['tags' => 'stairs, narrow'], 'Tag the project stairs, narrow'];
        yield 'the same again, which still is what they wrote' => [new AddWish('quote', 'hammers'), ['text' => 5], ['text' => 'hammers'], 'Wish for the quote: hammers[5]'];
        yield 'half of a name, which is not what they wrote any more' => [
            new MakeClient('Orla', 'Fennick', 'o@example.com', '', ''),
            ['given' => 1, 'family' => 1, 'email' => 2],
            ['given' => 'Órla'],
            'New client: Órla Fennick, o@example.com[2]',
        ];
        yield 'one of two equal values' => [new AddContact('Tadg', 'Tadg'), ['name' => 1, 'role' => 2], ['role' => 'caretaker'], 'Add the contact Tadg[1], caretaker'];
    }

    /** @param array<string, string> $values */
    #[DataProvider('impossible')]
    public function testWhatCannotBeIsRefusedWithItsPath(Changeable $effect, array $values, string $message): void
    {
        try {
            self::amended(PlanLine::of('k', 'G', $effect, Fixtures::input()->telling), $values);
            self::fail('it was taken');
        } catch (InvalidDecision $error) {
            self::assertSame(['k.'.array_key_first($values), $message], [$error->path, $error->getMessage()]);
        }
    }

    /** @return iterable<string, array{Changeable, array<string, string>, string}> */
    public static function impossible(): iterable
    {
        yield 'an address that is none' => [
            QueueMessage::toClient('confirmation', 'o@example.com'),
            ['to' => 'nowhere'],
            'An email address has an @ in it, like name@example.com.',
        ];
        yield 'a day that is none, in a field that holds days' => [SetField::to('client', 'custom.since', '2026-11-26'), ['value' => 'soon'], 'Write the day like 2027-06-12.'];
        yield 'nobody who is here' => [SetField::to('client', 'owner', 's1'), ['value' => 'zed'], 'Choose somebody who is here.'];
    }

    /** @param array<string, string> $values */
    private static function amended(PlanLine $line, array $values): PlanLine
    {
        $context = Fixtures::context(Fixtures::input(), amendments: new Amendments([], ['k' => $values]));

        return (new Amender())->amend([$line], $context)[0];
    }

    private static function asked(int $number): Question
    {
        $questions = Fixtures::form()->questions();

        return $questions[$number - 1] ?? self::fail("no question $number");
    }
}

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
use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\InvalidDecision;
use Telamon\Core\Plan\LineField;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\LineValues;
use Telamon\Core\Reading\PhoneReader;
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
        self::assertSame(array_map(static fn (LineField $field): array => $field->toArray(), $fields), (new PlanLine('k', 'G', [Part::words('x')], $effect))->toArray(1)['fields']);
        self::assertSame($expected, array_combine(array_map(static fn (LineField $field): string => $field->key, $fields), array_map(static fn (LineField $field): string => $field->kind, $fields)));
        self::assertSame($fields, array_values(array_filter($fields, static fn (LineField $field): bool => '' !== $field->label)), 'each has a name');
    }

    /** @return iterable<string, array{Effect, array<string, string>}> */
    public static function lines(): iterable
    {
        yield 'a task' => [new AddTask(1, 'Talk', 's', '2026-11-26'), ['name' => 'text', 'assignee' => 'staff', 'due' => 'day']];
        yield 'a project' => [new OpenProject('Repair', 's'), ['title' => 'text', 'lead' => 'staff', 'stage' => 'stage']];
        yield 'a new client' => [new MakeClient('O', 'F', '', '', ''), ['given' => 'text', 'family' => 'text', 'email' => 'text', 'phone' => 'text', 'address' => 'text']];
        yield 'an asset' => [new MakeAsset('Upright', ''), ['description' => 'text', 'serial' => 'text', 'place' => 'text']];
        yield 'a contact' => [new AddContact('Tadg'), ['name' => 'text', 'role' => 'text', 'email' => 'text', 'phone' => 'text']];
        yield 'tags' => [new AddTags('client', ['a', 'b']), ['tags' => 'text']];
        yield 'a wish' => [new AddWish('quote', 'hammers'), ['text' => 'text']];
        yield 'a message' => [new QueueMessage('confirmation', 'o@example.com'), ['to' => 'text']];
        yield 'a field' => [new SetField('client', 'organisation', 'Hall'), ['value' => 'text']];
        yield 'a day' => [new SetField('client', 'custom.since', '2026-11-25'), ['value' => 'day']];
        yield 'an owner' => [new SetField('client', 'owner', 's'), ['value' => 'staff']];
        yield 'somebody on file' => [new UseClient('c1'), []];
        yield 'files' => [new AttachFiles('photos'), []];
        yield 'the sheet' => [new KeepSheet(), []];
    }

    public function testALineThatOnlyTellsCannotBeChanged(): void
    {
        self::assertSame([], (new PlanLine('k', 'G', [Part::words('x')]))->toArray(1)['fields']);
    }

    /**
     * @param list<Part> $parts
     * @param array<string, string> $changes
     */
    #[DataProvider('changes')]
    public function testTheSentenceFollows(Changeable $effect, array $parts, array $changes, string $expected): void
    {
        $line = new PlanLine('k', 'G', $parts, $effect);
        $changed = (new LineValues(phones: new PhoneReader('IE')))->change($line, $effect, $changes, Fixtures::input());
        self::assertSame($expected, implode('', array_map(static fn (Part $part): string => $part->text, $changed->parts)));
        self::assertTrue($changed->isAmended);
    }

    /** @return iterable<string, array{Changeable, list<Part>, array<string, string>, string}> */
    public static function changes(): iterable
    {
        yield 'a value in its place' => [new SetField('project', 'budget', '500'), [Part::words('Budget: '), Part::value('500', 3)], ['value' => '600'], 'Budget: 600'];
        yield 'a day in words' => [new SetField('client', 'custom.since', '2026-11-26'), [Part::words('Since '), Part::value('Thu 26 November', 2)], ['value' => '2026-12-24'], 'Since Thu 24 December'];
        yield 'a number as people write it' => [new AddContact('Tadg', phone: '+353209143327'), [Part::words('Add the contact '), Part::value('Tadg', 1), Part::words(', '), Part::value('+353 20 914 3327', 2)], ['phone' => '020 915 0000'], 'Add the contact Tadg, +353 20 915 0000'];
        yield 'one that the sentence did not say' => [new AddContact('Tadg'), [Part::words('Add the contact '), Part::value('Tadg', 1)], ['role' => 'caretaker'], 'Add the contact Tadg; caretaker'];
        yield 'tags' => [new AddTags('project', ['stairs']), [Part::words('Tag the project '), Part::value('stairs')], ['tags' => 'stairs, narrow'], 'Tag the project stairs, narrow'];
        yield 'the same again' => [new AddWish('quote', 'hammers'), [Part::words('Wish for the quote: '), Part::value('hammers', 5)], ['text' => 'hammers'], 'Wish for the quote: hammers'];
    }

    public function testAnAddressThatIsNoneIsRefusedWithItsPath(): void
    {
        $line = new PlanLine('message.confirmation', 'Messages', [Part::value('o@example.com')], $effect = new QueueMessage('confirmation', 'o@example.com'));
        try {
            (new LineValues())->change($line, $effect, ['to' => 'nowhere'], Fixtures::input());
            self::fail('it was taken');
        } catch (InvalidDecision $error) {
            self::assertSame(['message.confirmation.to', 'An email address has an @ in it, like name@example.com.'], [$error->path, $error->getMessage()]);
        }
    }
}

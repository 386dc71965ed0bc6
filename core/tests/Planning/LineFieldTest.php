<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\EffectKind;
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
     * @param array<string, string|int|list<string>|list<int>|null> $values
     * @param array<string, string> $expected kind by field
     */
    #[DataProvider('lines')]
    public function testWhatMayBeChanged(EffectKind $kind, array $values, array $expected): void
    {
        $fields = LineField::of(new PlanLine('k', 'G', [Part::words('x')], new Effect($kind, $values)));
        self::assertSame($expected, array_combine(array_map(static fn (LineField $field): string => $field->key, $fields), array_map(static fn (LineField $field): string => $field->kind, $fields)));
        self::assertSame($fields, array_values(array_filter($fields, static fn (LineField $field): bool => '' !== $field->label)), 'each has a name');
    }

    /** @return iterable<string, array{EffectKind, array<string, string|int|list<string>|list<int>|null>, array<string, string>}> */
    public static function lines(): iterable
    {
        yield 'a task' => [EffectKind::AddTask, ['name' => 'Talk', 'assignee' => 's', 'due' => '2026-11-26'], ['name' => 'text', 'assignee' => 'staff', 'due' => 'day']];
        yield 'a project' => [EffectKind::OpenProject, ['title' => 'Repair', 'lead' => 's', 'stage' => ''], ['title' => 'text', 'lead' => 'staff', 'stage' => 'stage']];
        yield 'a new client' => [EffectKind::CreateClient, ['given' => 'O', 'family' => 'F', 'email' => '', 'phone' => '', 'address' => ''], ['given' => 'text', 'family' => 'text', 'email' => 'text', 'phone' => 'text', 'address' => 'text']];
        yield 'an asset' => [EffectKind::CreateAsset, ['description' => 'Upright'], ['description' => 'text', 'serial' => 'text', 'place' => 'text']];
        yield 'a contact' => [EffectKind::AddContact, ['name' => 'Tadg'], ['name' => 'text', 'role' => 'text', 'email' => 'text', 'phone' => 'text']];
        yield 'tags' => [EffectKind::AddTags, ['record' => 'client', 'tags' => ['a', 'b']], ['tags' => 'text']];
        yield 'a wish' => [EffectKind::AddWish, ['kind' => 'quote', 'text' => 'hammers'], ['text' => 'text']];
        yield 'a message' => [EffectKind::QueueMessage, ['to' => 'o@example.com'], ['to' => 'text']];
        yield 'a field' => [EffectKind::SetField, ['record' => 'client', 'field' => 'organisation', 'value' => 'Hall'], ['value' => 'text']];
        yield 'a day' => [EffectKind::SetField, ['record' => 'client', 'field' => 'custom.since', 'value' => '2026-11-25'], ['value' => 'day']];
        yield 'an owner' => [EffectKind::SetField, ['record' => 'client', 'field' => 'owner', 'value' => 's'], ['value' => 'staff']];
        yield 'somebody on file' => [EffectKind::UseClient, ['id' => 'c1'], []];
        yield 'files' => [EffectKind::AttachFiles, ['question' => 'photos'], []];
        yield 'the sheet' => [EffectKind::KeepSheet, [], []];
    }

    public function testALineThatOnlyTellsCannotBeChanged(): void
    {
        self::assertSame([], LineField::of(new PlanLine('k', 'G', [Part::words('x')])));
    }

    /**
     * @param array<string, string|int|list<string>|list<int>|null> $values
     * @param list<Part> $parts
     * @param array<string, string> $changes
     */
    #[DataProvider('changes')]
    public function testTheSentenceFollows(EffectKind $kind, array $values, array $parts, array $changes, string $expected): void
    {
        $line = new PlanLine('k', 'G', $parts, new Effect($kind, $values));
        self::assertNotNull($line->effect);
        $changed = (new LineValues(phones: new PhoneReader('IE')))->change($line, $line->effect, $changes, Fixtures::input());
        self::assertSame($expected, implode('', array_map(static fn (Part $part): string => $part->text, $changed->parts)));
        self::assertTrue($changed->isAmended);
    }

    /** @return iterable<string, array{EffectKind, array<string, string|int|list<string>|list<int>|null>, list<Part>, array<string, string>, string}> */
    public static function changes(): iterable
    {
        yield 'a value in its place' => [EffectKind::SetField, ['record' => 'project', 'field' => 'budget', 'value' => '500'], [Part::words('Budget: '), Part::value('500', 3)], ['value' => '600'], 'Budget: 600'];
        yield 'a day in words' => [EffectKind::SetField, ['record' => 'client', 'field' => 'custom.since', 'value' => '2026-11-26'], [Part::words('Since '), Part::value('Thu 26 November', 2)], ['value' => '2026-12-24'], 'Since Thu 24 December'];
        yield 'a number as people write it' => [EffectKind::AddContact, ['name' => 'Tadg', 'phone' => '+353209143327'], [Part::words('Add the contact '), Part::value('Tadg', 1), Part::words(', '), Part::value('+353 20 914 3327', 2)], ['phone' => '020 915 0000'], 'Add the contact Tadg, +353 20 915 0000'];
        yield 'one that the sentence did not say' => [EffectKind::AddContact, ['name' => 'Tadg', 'role' => ''], [Part::words('Add the contact '), Part::value('Tadg', 1)], ['role' => 'caretaker'], 'Add the contact Tadg; caretaker'];
        yield 'tags' => [EffectKind::AddTags, ['record' => 'project', 'tags' => ['stairs']], [Part::words('Tag the project '), Part::value('stairs')], ['tags' => 'stairs, narrow'], 'Tag the project stairs, narrow'];
        yield 'the same again' => [EffectKind::AddWish, ['kind' => 'quote', 'text' => 'hammers'], [Part::words('Wish for the quote: '), Part::value('hammers', 5)], ['text' => 'hammers'], 'Wish for the quote: hammers'];
    }

    public function testAnAddressThatIsNoneIsRefusedWithItsPath(): void
    {
        $line = new PlanLine('message.confirmation', 'Messages', [Part::value('o@example.com')], new Effect(EffectKind::QueueMessage, ['to' => 'o@example.com']));
        self::assertNotNull($line->effect);
        try {
            (new LineValues())->change($line, $line->effect, ['to' => 'nowhere'], Fixtures::input());
            self::fail('it was taken');
        } catch (InvalidDecision $error) {
            self::assertSame(['message.confirmation.to', 'An email address has an @ in it, like name@example.com.'], [$error->path, $error->getMessage()]);
        }
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Form;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Answers\AnswerCheck;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\InvalidDefinition;
use Telamon\Core\Form\Kinds\Address;
use Telamon\Core\Form\Kinds\DaySpan;
use Telamon\Core\Form\Kinds\Email;
use Telamon\Core\Form\Kinds\Lines;
use Telamon\Core\Form\Kinds\NameParts;
use Telamon\Core\Form\Readers;
use Telamon\Core\Form\Violation;
use Telamon\Core\Reading\EmailReader;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Tests\Fixtures;
use Telamon\Core\Time\AnsweredDays;

/** Answers that come in parts, and tables of repeated lines. */
final class KindsTest extends TestCase
{
    private const TABLE = ['key' => 'q', 'type' => 'lines', 'wording' => 'Your pianos', 'maxLines' => 3, 'lines' => [
        ['key' => 'make', 'type' => 'short-text', 'wording' => 'Make', 'required' => true, 'destination' => 'asset.make'],
        ['key' => 'serial', 'type' => 'short-text', 'wording' => 'Number', 'destination' => 'asset.serial'],
        ['key' => 'keys', 'type' => 'number', 'wording' => 'Keys', 'min' => '1', 'max' => '97'],
    ]];

    /** @param list<string> $expected */
    #[DataProvider('answers')]
    public function testWhatIsWrongIsSaid(string $type, mixed $answer, array $expected, bool $required = true): void
    {
        self::assertSame($expected, self::faults(['key' => 'q', 'type' => $type, 'required' => $required], $answer));
    }

    /** @return iterable<string, array{string, mixed, list<string>, 3?: bool}> */
    public static function answers(): iterable
    {
        yield 'both names' => ['name-parts', ['given' => 'Orla', 'family' => 'Fennick'], []];
        yield 'a mononym' => ['name-parts', ['given' => 'Orla', 'family' => ''], []];
        yield 'a family name alone' => ['name-parts', ['given' => ' ', 'family' => 'Fennick'], ['q Given name: this is needed too.']];
        yield 'no name' => ['name-parts', ['given' => '', 'family' => ''], ['q Tell us your name.']];
        yield 'no name where none is needed' => ['name-parts', null, [], false];
        yield 'figures for a name' => ['name-parts', ['given' => '12'], ['q Write a name with letters.']];
        yield 'a name as one text' => ['name-parts', 'Orla Fennick', ['q Send this in its parts: given, family.']];
        yield 'a part too many' => ['name-parts', ['given' => 'Orla', 'title' => 'Dr'], ['q Send this in its parts: given, family.']];
        yield 'a part that is a list' => ['name-parts', ['given' => ['Orla']], ['q Send this in its parts: given, family.']];
        yield 'a very long part' => ['name-parts', ['given' => str_repeat('a', 201)], ['q Given name: shorten this to 200 characters.']];
        yield 'an address' => ['address-parts', ['line' => '7 Weir Cottages', 'locality' => 'Marrowby', 'postalCode' => '', 'country' => ''], []];
        yield 'an address without a town' => ['address-parts', ['line' => '7 Weir Cottages'], ['q Town: this is needed too.']];
        yield 'a day and time' => ['day-time', ['day' => '2026-12-24', 'time' => '09:30'], []];
        yield 'a day without a time' => ['day-time', ['day' => '2026-12-24', 'time' => ''], ['q Time: this is needed too.']];
        yield 'no such day' => ['day-time', ['day' => '2026-02-30', 'time' => '09:30'], ['q There is no such day. Write it like 12 June 2027.']];
        yield 'no such time' => ['day-time', ['day' => '2026-12-24', 'time' => '25:00'], ['q Write the time like 14:30.']];
        yield 'a span' => ['day-span', ['from' => '2026-12-24', 'to' => '2027-01-02'], []];
        yield 'a span of one day' => ['day-span', ['from' => '2026-12-24', 'to' => '2026-12-24'], []];
        yield 'a span backwards' => ['day-span', ['from' => '2026-12-24', 'to' => '2026-12-01'], ['q The last day comes before the first.']];
        yield 'a span in doubt that may be right' => ['day-span', ['from' => '01/02/2027', 'to' => '02/01/2027'], []];
        yield 'a span that has passed' => ['day-span', ['from' => '2026-11-01', 'to' => '2026-12-01'], ['q First day: That day has passed. Choose today or later.']];
        yield 'a typed signature' => ['signature', ['name' => 'Orla Fennick', 'how' => 'typed'], []];
        yield 'a drawn signature' => ['signature', ['name' => 'Orla Fennick', 'how' => 'drawn', 'image' => 'u1'], []];
        yield 'a drawn signature without a drawing' => [
            'signature',
            ['name' => 'Orla Fennick', 'how' => 'drawn', 'image' => ''],
            ['q Draw your signature, or say that your typed name is it.'],
        ];
        yield 'a signature without its how' => ['signature', ['name' => 'Orla Fennick'], ['q Draw your signature, or say that your typed name is it.']];
        yield 'no signature' => ['signature', ['name' => ' ', 'how' => 'typed'], ['q Sign here: write your name, then draw or confirm it.']];
        yield 'a text to a section' => ['section', 'x', ['q This form does not ask that.'], false];
    }

    /**
     * @param list<string> $expected
     */
    #[DataProvider('tables')]
    public function testTablesAreCheckedLineByLine(mixed $answer, array $expected, bool $required = false): void
    {
        self::assertSame($expected, self::faults(self::TABLE + ['required' => $required], $answer));
    }

    /** @return iterable<string, array{mixed, list<string>, 2?: bool}> */
    public static function tables(): iterable
    {
        yield 'two lines' => [[['make' => 'Pell', 'keys' => '88'], ['make' => 'Thrane', 'serial' => '48217']], []];
        yield 'none' => [[], []];
        yield 'none where one is needed' => [[], ['q Add at least one line.'], true];
        yield 'a line without what it needs' => [[['make' => 'Pell'], ['serial' => '1']], ['q.1.make This is needed.']];
        yield 'a fault in a column' => [[['make' => 'Pell', 'keys' => '98']], ['q.0.keys Write 97 or less.']];
        yield 'too many' => [array_fill(0, 4, ['make' => 'Pell']), ['q At most 3 lines fit here. Take some out.']];
        yield 'a column that is not asked' => [[['make' => 'Pell', 'colour' => 'red']], ['q.0 This form does not ask that.']];
        yield 'a text' => ['Pell', ['q Send the lines as a list of answers by column.']];
        yield 'a list of texts' => [['Pell'], ['q Send the lines as a list of answers by column.']];
    }

    public function testAnswersReadAsOneText(): void
    {
        $form = self::form(self::TABLE);
        $question = $form->questions()[0];
        self::assertSame(
            "Make: Pell, Keys: 88\nMake: Thrane, Number: 48217",
            $question->type->text($question, [['make' => 'Pell', 'keys' => '88'], ['make' => 'Thrane', 'serial' => '48217', 'keys' => ' ']]),
        );
        $text = static function (string $type, mixed $answer): string {
            $question = self::form(['key' => 'q', 'type' => $type, 'options' => [['value' => 'a', 'label' => 'One'], ['value' => 'b', 'label' => 'Two']]])->questions()[0];

            return $question->type->text($question, $answer);
        };
        self::assertSame('Orla Fennick', $text('name-parts', ['given' => 'Orla ', 'family' => 'Fennick']));
        self::assertSame('7 Weir Cottages, Marrowby', $text('address-parts', ['country' => '', 'line' => '7 Weir Cottages', 'locality' => 'Marrowby']));
        self::assertSame('12 June 2027, 14:30', $text('day-time', ['day' => '12 June 2027', 'time' => '14:30']));
        self::assertSame('12/06/2027 to 14/06/2027', $text('day-span', ['from' => '12/06/2027', 'to' => '14/06/2027']));
        self::assertSame('Signed by Orla Fennick, drawn', $text('signature', ['name' => 'Orla Fennick', 'how' => 'drawn', 'image' => 'u1']));
        self::assertSame('Two, One', $text('any-of', ['b', 'a']));
        self::assertSame('Two', $text('one-of', 'b'));
        self::assertSame('Yes', $text('yes-no', 'yes'));
        self::assertSame('Given', $text('consent', 'yes'));
        self::assertSame('2 files', $text('files', ['u1', 'u2']));
        self::assertSame('', $text('files', []));
        self::assertSame('', $text('name-parts', null));
    }

    public function testALengthIsCheckedAtBothEnds(): void
    {
        $question = ['key' => 'q', 'type' => 'short-text', 'minLength' => 5, 'maxLength' => 8];
        self::assertSame(['q Write at least 5 characters. It has 4 now.'], self::faults($question, 'four'));
        self::assertSame([], self::faults($question, 'five!'));
        self::assertSame(['q Shorten this to 8 characters. It has 9 now.'], self::faults($question, 'nine long'));
    }

    public function testWhatOnlyTellsHasNoNumber(): void
    {
        $form = self::form(
            ['key' => 'a', 'type' => 'section', 'wording' => 'You'],
            ['key' => 'b', 'type' => 'short-text'],
            ['key' => 'c', 'type' => 'statement'],
            ['key' => 'd', 'type' => 'lines', 'lines' => [['key' => 'x', 'type' => 'day']]],
        );
        self::assertSame([0, 1, 0, 2], array_map(static fn ($question): int => $question->number, $form->questions()));
        self::assertSame(2, $form->questions()[3]->lines[0]->number);
    }

    public function testAStatementShowsAPictureAndNothingElseDoes(): void
    {
        $dot = 'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==';
        self::assertSame($dot, self::form(['key' => 'q', 'type' => 'statement', 'picture' => $dot])->questions()[0]->picture);
        self::assertSame('', self::form(['key' => 'q', 'type' => 'short-text', 'picture' => $dot])->questions()[0]->picture);
    }

    /** @param array<string, mixed> $question */
    #[DataProvider('wrong')]
    public function testAWrongDefinitionSaysWhere(array $question, string $words): void
    {
        $this->expectException(InvalidDefinition::class);
        $this->expectExceptionMessage($words);
        self::form($question);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $table = static fn (array ...$columns): array => ['key' => 'q', 'type' => 'lines', 'lines' => $columns];
        yield 'a table that asks nothing' => [$table(), 'question 1: a table asks 1 to 12 things a line'];
        yield 'a table in a table' => [$table(['key' => 'a', 'type' => 'lines']), 'question 1, column 1: a table cannot ask'];
        yield 'files in a table' => [$table(['key' => 'a', 'type' => 'files']), 'question 1, column 1: a table cannot ask'];
        yield 'a column twice' => [$table(['key' => 'a', 'type' => 'day'], ['key' => 'a', 'type' => 'day']), 'question 1, column 2: the key “a” stands twice'];
        yield 'a column on a condition' => [$table(['key' => 'a', 'type' => 'day', 'showIf' => []]), 'have no conditions'];
        yield 'a custom field of nothing' => [['key' => 'q', 'type' => 'short-text', 'destination' => 'custom.client'], 'the destination “custom.client” is not known'];
        yield 'a custom field of another record' => [['key' => 'q', 'type' => 'short-text', 'destination' => 'custom.staff.size'], 'is not known'];
        yield 'files to a custom field' => [['key' => 'q', 'type' => 'files', 'destination' => 'custom.client.size'], 'cannot go to a custom field'];
        yield 'a picture from elsewhere' => [
            ['key' => 'q', 'type' => 'statement', 'picture' => 'https://example.com/a.png'],
            'the text after question 0: the picture is no PNG, JPEG or WebP',
        ];
        yield 'a drawing with scripts' => [['key' => 'q', 'type' => 'statement', 'picture' => 'data:image/svg+xml;base64,PHN2Zz4='], 'the picture is no PNG'];
        yield 'a text called a picture' => [['key' => 'q', 'type' => 'statement', 'picture' => 'data:image/png;base64,PHN2Zz4='], 'the picture is no PNG'];
        yield 'a picture too large' => [['key' => 'q', 'type' => 'statement', 'picture' => 'data:image/png;base64,'.str_repeat('A', 200_000)], 'the picture is larger than 200 kB'];
        yield 'files of no kind' => [['key' => 'q', 'type' => 'files', 'fileKinds' => 'films'], 'fileKinds is one of any, images, pdf'];
    }

    public function testDestinationsAreOfferedTheUsualOneFirst(): void
    {
        self::assertSame(Destination::AssetPlace, (new Address())->destinations()[0]);
        self::assertSame(Destination::ClientName, (new NameParts())->destinations()[0]);
        self::assertContains(Destination::ContactEmail, (new Email())->destinations());
        self::assertContains(Destination::AppointmentWish, (new DaySpan())->destinations());
        self::assertSame('asset, serial number', Destination::AssetSerial->label());
        self::assertSame('client, tags', Destination::ClientTags->label());
    }

    public function testTheLinesOfATableAreReadOneByOne(): void
    {
        $form = self::form(self::TABLE);
        $readings = Fixtures::reader()->read($form, ['q' => [['make' => 'Pell', 'keys' => '88'], ['make' => 'Thrane', 'serial' => '48217']]]);
        self::assertSame(
            [['', 0], ['Pell', 1], ['Thrane', 2], ['48217', 2]],
            array_map(static fn ($reading): array => [$reading->question->type instanceof Lines ? '' : $reading->text, $reading->line], $readings->all),
        );
    }

    public function testAnAnswerPutRightIsAsItWouldHaveBeenSent(): void
    {
        $of = static fn (string $type): mixed => self::form([
            'key' => 'q',
            'type' => $type,
            'options' => [['value' => 'a', 'label' => 'A'], ['value' => 'b', 'label' => 'B']],
        ])->questions()[0]->type
            ->corrected("a\nb");
        self::assertSame("a\nb", $of('long-text'));
        self::assertSame(['a', 'b'], $of('any-of'));
        self::assertSame(['given' => 'a', 'family' => 'b'], $of('name-parts'));
        foreach (['files', 'signature', 'consent', 'section'] as $never) {
            self::assertNull($of($never), $never);
        }
    }

    /**
     * @param array<string, mixed> $question
     *
     * @return list<string>
     */
    private static function faults(array $question, mixed $answer): array
    {
        $check = new AnswerCheck(new Readers(new EmailReader(), new PhoneReader('IE'), new AnsweredDays()));

        return array_map(
            static fn (Violation $violation): string => "{$violation->path} {$violation->message}",
            $check->check(self::form(['key' => 'other', 'type' => 'short-text'], $question), ['q' => $answer], new \DateTimeImmutable('2026-11-25')),
        );
    }

    /** @param array<string, mixed> ...$questions */
    private static function form(array ...$questions): FormDefinition
    {
        return FormDefinition::fromArray(['pages' => [['key' => 'p', 'questions' => $questions]]]);
    }
}

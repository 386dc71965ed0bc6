<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Messages;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Messages\DocumentReader;
use Telamon\Core\Messages\DocumentWriter;
use Telamon\Core\Messages\FieldLine;
use Telamon\Core\Messages\InvalidDocument;

/** Documents in, text and HTML out. */
final class DocumentTest extends TestCase
{
    /**
     * @param list<mixed> $content
     *
     * @return array<string, mixed>
     */
    private static function doc(array $content): array
    {
        return ['type' => 'doc', 'content' => $content];
    }

    /**
     * @param list<mixed> $content
     *
     * @return array<string, mixed>
     */
    private static function p(array $content): array
    {
        return ['type' => 'paragraph', 'content' => $content];
    }

    /** @return array<string, mixed> */
    private static function text(string $text, mixed ...$marks): array
    {
        return ['type' => 'text', 'text' => $text, 'marks' => $marks];
    }

    /** @return array<string, mixed> */
    private static function field(string $name, ?string $or = null, mixed ...$marks): array
    {
        return ['type' => 'field', 'attrs' => ['field' => $name, 'or' => $or], 'marks' => $marks];
    }

    public function testOneSourceGivesTextAndHtml(): void
    {
        $document = (new DocumentReader())->read(self::doc([
            ['type' => 'heading', 'attrs' => ['level' => 2], 'content' => [self::text('Your visit')]],
            self::p([
                self::text('Hello '),
                self::field('first_name', 'there'),
                self::text(', read '),
                self::text('this', ['type' => 'link', 'attrs' => ['href' => 'https://marrowby.example/tuning']]),
                self::text('.', ['type' => 'bold']),
            ]),
            [
                'type' => 'bulletList',
                'content' => [['type' => 'listItem', 'content' => [self::p([self::text('One')])]], ['type' => 'listItem', 'content' => [self::p([self::text('Two')])]]],
            ],
            ['type' => 'orderedList', 'content' => [['type' => 'listItem', 'content' => [self::p([self::text('First')])]]]],
            ['type' => 'button', 'attrs' => ['label' => 'Choose a time', 'field' => 'link']],
            ['type' => 'horizontalRule'],
        ]));
        $filled = (new DocumentWriter())->fill($document, ['first_name' => 'Anna', 'link' => 'https://telamon.example/b/1?a=1&b=2']);

        self::assertSame(
            "Your visit\n\nHello Anna, read this (https://marrowby.example/tuning).\n\n- One\n- Two\n\n1. First\n\nChoose a time: https://telamon.example/b/1?a=1&b=2\n\n----",
            $filled->text,
        );
        self::assertSame(
            '<h2>Your visit</h2><p>Hello Anna, read <a href="https://marrowby.example/tuning">this</a><strong>.</strong></p><ul><li><p>One</p></li><li><p>Two</p></li></ul><ol><li><p>First</p></li></ol><p><a class="button" href="https://telamon.example/b/1?a=1&amp;b=2">Choose a time</a></p><hr>',
            $filled->html,
        );
        self::assertSame([], $filled->gaps);
        self::assertSame(['first_name', 'link'], $document->fields());
    }

    public function testWhatNothingFillsIsAGapUnlessWordsStandForIt(): void
    {
        $document = (new DocumentReader())->read(self::doc([self::p([
            self::field('first_name', 'there'),
            self::text(' '),
            self::field('place'),
            self::text(' '),
            self::field('note', ''),
        ])]));
        $writer = new DocumentWriter();

        self::assertSame(['place'], $writer->fill($document, [])->gaps);
        self::assertSame('there', $writer->fill($document, [])->text);
        self::assertSame([], $writer->fill($document, ['place' => 'Dunmarl'])->gaps);
        self::assertSame('there your hall', $writer->fill($document, [], ['place' => 'your hall'])->text);
    }

    public function testASentenceThatCannotBeFilledCanBeLeftOut(): void
    {
        $document = (new DocumentReader())->read(self::doc([self::p([self::text('Thank you. Shall we keep '), self::field('day'), self::text(' for you? A yes is enough.')])]));

        $filled = (new DocumentWriter())->fill($document, [], ['day' => '']);

        self::assertSame('Thank you. A yes is enough.', $filled->text);
        self::assertSame([], $filled->gaps);
    }

    public function testAConditionHidesItsWordsAndWhatIsLeftEmpty(): void
    {
        $only = ['type' => 'only', 'attrs' => ['field' => 'place']];
        $unless = ['type' => 'only', 'attrs' => ['field' => 'place', 'empty' => true]];
        $document = (new DocumentReader())->read(self::doc([
            ['type' => 'bulletList', 'content' => [['type' => 'listItem', 'content' => [self::p([self::text('Where: ', $only), self::field('place', null, $only)])]]]],
            self::p([self::text('Tell us where.', $unless)]),
        ]));
        $writer = new DocumentWriter();

        self::assertSame('- Where: Dunmarl', $writer->fill($document, ['place' => 'Dunmarl'])->text);
        self::assertSame('Tell us where.', $writer->fill($document, [])->text);
        self::assertSame('<p>Tell us where.</p>', $writer->fill($document, ['place' => '  '])->html);
        self::assertSame([], $writer->fill($document, [])->gaps);
    }

    public function testValuesAreEscapedAndKeptApart(): void
    {
        $document = (new DocumentReader())->read(self::doc([self::p([self::text('Hello '), self::field('first_name'), self::text('!')])]));
        $writer = new DocumentWriter();

        self::assertSame('<p>Hello &lt;b onclick=&quot;x&quot;&gt;Anna&lt;/b&gt;!</p>', $writer->fill($document, ['first_name' => '<b onclick="x">Anna</b>'])->html);
        self::assertSame("<p>Hello <bdi>\u{5e0}\u{5e2}\u{5d4}</bdi>!</p>", $writer->fill($document, ['first_name' => "\u{5e0}\u{5e2}\u{5d4}"])->html);
        self::assertSame("Hello \u{2068}\u{5e0}\u{5e2}\u{5d4}\u{2069}!", $writer->fill($document, ['first_name' => "\u{202e}\u{5e0}\u{5e2}\u{5d4}"])->text);
        self::assertSame('<p>Hello one<br>two!</p>', $writer->fill($document, ['first_name' => "one\ntwo"])->html);
    }

    public function testAButtonLeadsOnlyToAnAddressWhateverItsFieldHolds(): void
    {
        $document = (new DocumentReader())->read(self::doc([['type' => 'button', 'attrs' => ['label' => 'Go', 'field' => 'place']]]));

        foreach (['javascript:alert(1)', 'data:text/html,x', 'https://x.example" onclick="x', ' ', '7 Weir Cottages', "java\nscript:x"] as $place) {
            self::assertSame('', (new DocumentWriter())->fill($document, ['place' => $place])->html, $place);
        }
        self::assertSame(
            '<p><a class="button" href="https://telamon.example/b">Go</a></p>',
            (new DocumentWriter())->fill($document, ['place' => 'https://telamon.example/b'])->html,
        );
    }

    /** @return array<string, array{mixed}> */
    public static function unreadable(): array
    {
        $deep = self::p([self::text('x')]);
        for ($i = 0; $i < 12; ++$i) {
            $deep = ['type' => 'bulletList', 'content' => [$deep]];
        }

        return [
            'nothing' => [null],
            'no document' => [['type' => 'paragraph']],
            'a script' => [self::doc([['type' => 'script', 'content' => []]])],
            'a link that runs' => [self::doc([self::p([self::text('x', ['type' => 'link', 'attrs' => ['href' => 'javascript:alert(1)']])])])],
            'a picture from elsewhere' => [self::doc([['type' => 'picture', 'attrs' => ['file' => 'https://example.com/x.png']]])],
            'a button without words' => [self::doc([['type' => 'button', 'attrs' => ['label' => '', 'href' => 'https://example.com']]])],
            'nested too deeply' => [self::doc([$deep])],
            'too long' => [self::doc([self::p([self::text(str_repeat('x', 30_001))])])],
            'a field without a name' => [self::doc([self::p([self::field('../x')])])],
            'an unknown mark' => [self::doc([self::p([self::text('x', ['type' => 'style'])])])],
        ];
    }

    #[DataProvider('unreadable')]
    public function testNothingElseComesThrough(mixed $given): void
    {
        $this->expectException(InvalidDocument::class);

        (new DocumentReader())->read($given);
    }

    public function testALineTakesItsFieldsAndItsFallbacks(): void
    {
        $line = new FieldLine('Your quote for the {{asset|piano}}, {{first_name}}');

        self::assertSame(['asset', 'first_name'], $line->fields());
        self::assertSame(['first_name'], $line->gaps([]));
        self::assertSame('Your quote for the piano, Anna', $line->oneLine(['first_name' => 'Anna']));
        self::assertSame('Your quote for the Corvane, Anna Bcc: x@example.com', $line->oneLine(['asset' => 'Corvane', 'first_name' => "Anna\r\nBcc: x@example.com"]));
        self::assertFalse($line->isBroken());
        self::assertTrue((new FieldLine('Hello {{first name}}'))->isBroken());
        self::assertTrue((new FieldLine('Hello {{first_name'))->isBroken());
    }
}

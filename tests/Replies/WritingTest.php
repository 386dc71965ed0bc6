<?php

declare(strict_types=1);

namespace Telamon\Tests\Replies;

use PHPUnit\Framework\Attributes\DataProvider;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** Letters by hand. */
final class WritingTest extends AppTestCase
{
    use AsksRows;

    private const ID = '019f0000-0000-7000-8000-00000000000a';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    /** @return array<string, string> */
    private static function letter(): array
    {
        return ['to' => 'orla.fennick@example.com', 'subject' => 'Your keys', 'text' => "Hello Orla,\n\nwe come on Thursday.\n\nNessa"];
    }

    public function testWrittenToAnArrivalItIsTheAnswerAndStopsTheClock(): void
    {
        $this->inquire()->ok(201);
        $arrival = $this->lastSubmission();
        self::assertFalse($this->get("/api/submissions/$arrival")->ok()->at('answered'));
        $this->call('PUT', '/api/messages/'.self::ID, ['submission' => $arrival] + self::letter())->ok(201);
        // The answer that did not come back is sent once more: it is one letter.
        $this->call('PUT', '/api/messages/'.self::ID, ['submission' => $arrival] + self::letter())->ok(201);
        self::assertTrue($this->get("/api/submissions/$arrival")->ok()->at('answered'));
        $this->work();
        self::assertSame(1, $this->countRows('message'));
        $sent = $this->get('/api/messages/'.self::ID)->ok();
        self::assertSame(['sent', 'by-hand'], [$sent->text('state'), $sent->text('kind')]);
        self::assertStringNotContainsString('Auto-Submitted', $this->get('/api/messages/'.self::ID.'/eml')->ok()->body, 'a person wrote it');
    }

    public function testAnAnswerToAMessageIsThreaded(): void
    {
        $in = $this->post('/api/stand-in/mail', ['from' => 'tess@example.com', 'text' => 'Do you tune harps?'])->ok(201);
        $this->call('PUT', '/api/messages/'.self::ID, ['answers' => $in->text('id'), 'to' => 'tess@example.com'] + self::letter())->ok(201);
        $eml = $this->get('/api/messages/'.self::ID.'/eml')->ok()->body;
        self::assertMatchesRegularExpression('/^In-Reply-To: <[^>]+@stand-in\.example>/m', $eml);
        self::assertMatchesRegularExpression('/^References: <[^>]+@stand-in\.example>/m', $eml);
    }

    public function testOtherWordsUnderTheSameIdAreNotLostUnseen(): void
    {
        $this->call('PUT', '/api/messages/'.self::ID, self::letter())->ok(201);
        foreach ([['text' => 'We come on Friday after all.'], ['subject' => 'Other keys'], ['to' => 'tess@example.com']] as $other) {
            $refused = $this->call('PUT', '/api/messages/'.self::ID, $other + self::letter());
            self::assertSame(409, $refused->status, json_encode($other, \JSON_THROW_ON_ERROR));
        }
        $this->call('PUT', '/api/messages/'.self::ID, self::letter())->ok(201);
        self::assertSame(1, $this->countRows('message'));
    }

    public function testItWaitsForItsTime(): void
    {
        $this->call('PUT', '/api/messages/'.self::ID, ['sendAt' => '2026-11-26T08:00'] + self::letter())->ok(201);
        self::assertSame('2026-11-26T08:00:00+00:00', $this->get('/api/messages/'.self::ID)->ok()->text('leavesAt'));
        $this->work();
        self::assertSame('queued', $this->get('/api/messages/'.self::ID)->ok()->text('state'));
        $this->clock->modify('+22 hours');
        $this->work();
        self::assertSame('sent', $this->get('/api/messages/'.self::ID)->ok()->text('state'));
    }

    public function testWhatIsMissingIsSaidBesideItsField(): void
    {
        foreach (['to' => 'nobody', 'subject' => ' ', 'text' => '', 'sendAt' => '2020-01-01T08:00'] as $field => $value) {
            $refused = $this->call('PUT', '/api/messages/'.self::ID, [$field => $value] + self::letter());
            self::assertSame([422, $field], [$refused->status, $refused->text('violations.0.path')]);
        }
        $this->call('PUT', '/api/messages/'.self::ID, ['subject' => "Hello\r\nBcc: everybody@example.com"] + self::letter())->ok(201);
        self::assertSame('Hello Bcc: everybody@example.com', $this->get('/api/messages/'.self::ID)->ok()->text('subject'));
        self::assertSame(
            404,
            $this->call('PUT', '/api/messages/019f0000-0000-7000-8000-00000000000b', ['client' => '019f0000-0000-7000-8000-00000000000c'] + self::letter())->status,
        );
    }

    public function testFilesOfTheClientAndBroughtAlongGoWithIt(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $client = $this->id('SELECT id FROM client');
        $there = $this->post('/api/files', ['client' => $client, 'uploads' => [$this->paper('there.pdf')]])->ok(201)->text('items.0.id');
        $letter = ['client' => $client, 'files' => [$there], 'uploads' => [$this->paper('brought.pdf')]] + self::letter();
        $this->call('PUT', '/api/messages/'.self::ID, $letter)->ok(201);
        $again = $this->call('PUT', '/api/messages/'.self::ID, $letter)->ok(201);
        self::assertSame(['there.pdf', 'brought.pdf'], $again->column('papers', 'name'), 'the same again is one letter');
        self::assertEqualsCanonicalizing(
            ['there.pdf', 'brought.pdf'],
            $this->get("/api/files?client=$client")->ok()->column('items', 'name'),
            'what was brought along is on record',
        );
        $this->work();
        $eml = $this->get('/api/messages/'.self::ID.'/eml')->ok()->body;
        self::assertStringContainsString('there.pdf', $eml);
        self::assertStringContainsString('brought.pdf', $eml);
    }

    public function testNobodyGetsAnotherClientsFilesNorMoreThanAMailboxTakes(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->inquire(['name' => 'Tess Marlow', 'email' => 'tess@example.com', 'phone' => '020 914 3399', 'place' => '3 Quay Row', 'piano' => 'Harker grand'])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        [$orla, $tess] = [$this->id("SELECT id FROM client WHERE given_name = 'Orla'"), $this->id("SELECT id FROM client WHERE given_name = 'Tess'")];
        $hers = $this->post('/api/files', ['client' => $tess, 'uploads' => [$this->paper('hers.pdf')]])->ok(201)->text('items.0.id');
        $refused = $this->call('PUT', '/api/messages/'.self::ID, ['client' => $orla, 'files' => [$hers]] + self::letter());
        self::assertSame([422, 'files'], [$refused->status, $refused->text('violations.0.path')]);
        $gone = $this->call('PUT', '/api/messages/'.self::ID, ['client' => $orla, 'uploads' => ['never-was']] + self::letter());
        self::assertSame([422, 'uploads'], [$gone->status, $gone->text('violations.0.path')]);
        $this->db()->executeStatement('UPDATE stored_file SET size = 16000000');
        $large = $this->call('PUT', '/api/messages/'.self::ID, ['client' => $tess, 'files' => [$hers]] + self::letter());
        self::assertSame([422, 'files'], [$large->status, $large->text('violations.0.path')]);
        self::assertSame('0', $this->number("SELECT COUNT(*) FROM message WHERE kind = 'by-hand'"), 'refused whole');
    }

    /**
     * @param list<mixed> $content
     *
     * @return array<string, mixed>
     */
    private static function document(array $content): array
    {
        return ['type' => 'doc', 'content' => $content];
    }

    public function testALetterKeepsItsHeadingsListsAndLinksAsTextAndAsHtml(): void
    {
        $words = static fn (string $text, mixed ...$marks): array => ['type' => 'text', 'text' => $text, 'marks' => $marks];
        $this->call('PUT', '/api/messages/'.self::ID, ['document' => self::document([
            ['type' => 'heading', 'attrs' => ['level' => 2], 'content' => [$words('Your <keys>')]],
            ['type' => 'bulletList', 'content' => [['type' => 'listItem', 'content' => [['type' => 'paragraph', 'content' => [$words('Thursday', ['type' => 'bold'])]]]]]],
            ['type' => 'paragraph', 'content' => [$words('Read this', ['type' => 'link', 'attrs' => ['href' => 'https://marrowby.example/keys']])]],
        ])] + self::letter())->ok(201);
        $this->work();
        $sent = $this->get('/api/messages/'.self::ID)->ok();
        self::assertSame("Your <keys>\n\n- Thursday\n\nRead this (https://marrowby.example/keys)", $sent->text('text'));
        self::assertStringContainsString('Your &lt;keys&gt;', $sent->text('html'));
        $eml = quoted_printable_decode($this->get('/api/messages/'.self::ID.'/eml')->ok()->body);
        self::assertStringContainsString("\n- Thursday", $eml);
        self::assertMatchesRegularExpression('#<h2[^>]*>Your &lt;keys&gt;</h2>#', $eml);
    }

    /** @return array<string, array{list<mixed>}> */
    public static function refusedDocuments(): array
    {
        return [
            'nothing' => [[['type' => 'paragraph']]],
            'a field that nobody filled' => [[['type' => 'paragraph', 'content' => [['type' => 'field', 'attrs' => ['field' => 'first_name', 'or' => null]]]]]],
            'a script' => [[['type' => 'script', 'content' => []]]],
            'a link that does something' => [[[
                'type' => 'paragraph',
                'content' => [['type' => 'text', 'text' => 'x', 'marks' => [['type' => 'link', 'attrs' => ['href' => 'javascript:alert(1)']]]]],
            ]]],
            'a picture that was never there' => [[['type' => 'picture', 'attrs' => ['file' => '019f0000-0000-7000-8000-00000000000c', 'alt' => 'x']]]],
            'more than anybody reads' => [[['type' => 'paragraph', 'content' => [['type' => 'text', 'text' => str_repeat('long ', 5000)]]]]],
        ];
    }

    /** @param list<mixed> $content */
    #[DataProvider('refusedDocuments')]
    public function testWhatCannotStandInALetterIsSaidBesideIt(array $content): void
    {
        $refused = $this->call('PUT', '/api/messages/'.self::ID, ['document' => self::document($content)] + self::letter());
        self::assertSame([422, 'text'], [$refused->status, $refused->text('violations.0.path')]);
        self::assertSame(0, $this->countRows('message'));
    }

    public function testAFileOfAClientIsNoPictureNorEnclosureForAnybody(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $hers = $this->post('/api/files', ['client' => $this->id('SELECT id FROM client'), 'uploads' => [$this->paper('hers.pdf')]])->ok(201)->text('items.0.id');
        $picture = [['type' => 'picture', 'attrs' => ['file' => $hers, 'alt' => 'hers']]];
        $letter = $this->call('PUT', '/api/messages/'.self::ID, ['document' => self::document($picture)] + self::letter());
        self::assertSame([422, 'text'], [$letter->status, $letter->text('violations.0.path')]);
        $id = $this->id("SELECT id FROM message_template WHERE code = 'photographs'");
        $template = $this->get("/api/templates/$id")->ok();
        $draft = [
            'name' => $template->text('name'),
            'subject' => $template->text('subject'),
            'document' => $template->at('document'),
            'textMessage' => '',
            'version' => $template->at('version'),
        ];
        $along = $this->call('PUT', "/api/templates/$id", ['papers' => [$hers]] + $draft);
        self::assertSame([422, 'papers'], [$along->status, $along->text('violations.0.path')]);
        $shown = $this->call('PUT', "/api/templates/$id", ['document' => self::document($picture)] + $draft);
        self::assertSame([422, 'document'], [$shown->status, $shown->text('violations.0.path')]);
    }

    /** @param list<mixed> $content */
    private function template(string $subject, array $content): string
    {
        $id = $this->id("SELECT id FROM message_template WHERE code = 'photographs'");
        $this->call(
            'PUT',
            "/api/templates/$id",
            [
                'name' => 'Photographs wanted',
                'subject' => $subject,
                'textMessage' => '',
                'version' => $this->get("/api/templates/$id")->ok()->at('version'),
                'document' => self::document($content),
            ],
        )
            ->ok();

        return $id;
    }

    public function testATemplateBeginsALetterWithWhatIsKnownOfItsReader(): void
    {
        $text = static fn (string $words, mixed ...$marks): array => ['type' => 'text', 'text' => $words, 'marks' => $marks];
        $field = static fn (string $name): array => ['type' => 'field', 'attrs' => ['field' => $name, 'or' => null]];
        $id = $this->template('For you', [
            ['type' => 'heading', 'attrs' => ['level' => 3], 'content' => [$field('first_name')]],
            [
                'type' => 'paragraph',
                'content' => [$text('Ready', ['type' => 'only', 'attrs' => ['field' => 'client', 'empty' => false]]), $text(' by '), $field('ready_by'), $field('signature')],
            ],
        ]);
        $this->inquire()->ok(201);
        $arrival = $this->lastSubmission();
        self::assertStringStartsWith('Orla', $this->post("/api/templates/$id/by-hand", ['submission' => $arrival])->ok()->text('text'), 'whom nobody has on file yet');
        $this->accept($arrival)->ok();
        $read = $this->post("/api/templates/$id/by-hand", ['client' => $this->id('SELECT id FROM client')])->ok();
        $json = json_encode($read->at('document'), \JSON_THROW_ON_ERROR);
        self::assertStringStartsWith("Orla\n\nReady by [ready by]", $read->text('text'));
        self::assertSame(['[ready by]'], $read->at('places'));
        foreach (['"field"', '"only"', '\n', '"text":""'] as $nothing) {
            self::assertStringNotContainsString($nothing, $json);
        }
        self::assertStringContainsString('hardBreak', $json);
        self::assertStringContainsString('"level":3', $json);
        $letter = ['template' => $id, 'document' => $read->at('document')] + self::letter();
        $open = $this->call('PUT', '/api/messages/'.self::ID, $letter);
        self::assertSame([422, 'text'], [$open->status, $open->text('violations.0.path')]);
        self::assertStringContainsString('[ready by]', $open->text('violations.0.message'));
        $closed = json_decode(str_replace('[ready by]', 'Friday', $json), true, 32, \JSON_THROW_ON_ERROR);
        $subject = $this->call('PUT', '/api/messages/'.self::ID, ['document' => $closed, 'subject' => 'For [first name]'] + $letter);
        self::assertSame([422, 'subject'], [$subject->status, $subject->text('violations.0.path')]);
        $this->call('PUT', '/api/messages/'.self::ID, ['document' => $closed] + $letter)->ok(201);
    }

    public function testSquareBracketsOfOnesOwnAreNoPlaces(): void
    {
        $this->call('PUT', '/api/messages/'.self::ID, ['text' => 'See [1] and [piano].'] + self::letter())->ok(201);
        self::assertSame('See [1] and [piano].', $this->get('/api/messages/'.self::ID)->ok()->text('text'));
    }

    public function testNothingIsKnownOfNobody(): void
    {
        $id = $this->template('Hello', [['type' => 'paragraph', 'content' => [['type' => 'field', 'attrs' => ['field' => 'first_name', 'or' => null]]]]]);
        self::assertSame(['[first name]'], $this->post("/api/templates/$id/by-hand", [])->ok()->at('places'));
        self::assertSame(404, $this->post("/api/templates/$id/by-hand", ['client' => '019f0000-0000-7000-8000-00000000000c'])->status);
        self::assertSame(404, $this->post('/api/templates/019f0000-0000-7000-8000-00000000000c/by-hand', [])->status);
    }

    public function testWhatATemplateSendsAlongGoesWithALetterWrittenFromIt(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $client = $this->id('SELECT id FROM client');
        $template = $this->id("SELECT id FROM message_template WHERE code = 'confirmation'");
        $file = $this->post("/api/templates/$template/files", ['uploads' => [$this->paper('prices.pdf')]])->ok(201)->text('items.0.id');
        $this->db()->executeStatement('UPDATE message_template SET papers = ? WHERE id = ?', [json_encode([$file, 'quote'], \JSON_THROW_ON_ERROR), $template]);
        $missing = $this->call('PUT', '/api/messages/'.self::ID, ['client' => $client, 'template' => $template, 'papers' => [$file, 'quote']] + self::letter());
        self::assertSame([422, 'papers'], [$missing->status, $missing->text('violations.0.path')]);
        $sent = $this->call('PUT', '/api/messages/'.self::ID, ['client' => $client, 'template' => $template, 'papers' => [$file]] + self::letter())->ok(201);
        self::assertSame(['prices.pdf'], $sent->column('papers', 'name'));
        $this->db()->executeStatement("UPDATE message_template SET consent = 'News'");
        $refused = $this->call('PUT', '/api/messages/019f0000-0000-7000-8000-00000000000b', ['client' => $client, 'template' => $template, 'papers' => []] + self::letter());
        self::assertSame([422, 'to'], [$refused->status, $refused->text('violations.0.path')]);
    }

    private function paper(string $name): string
    {
        $path = "{$this->data}/$name";
        file_put_contents($path, "%PDF-1.4\n% $name\n1 0 obj <<>> endobj\ntrailer <<>>\n%%EOF\n");

        return $this->upload($path, $name)->ok(201)->text('id');
    }
}

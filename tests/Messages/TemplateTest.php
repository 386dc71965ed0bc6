<?php

declare(strict_types=1);

namespace Telamon\Tests\Messages;

use Telamon\Messages\FieldWords;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;

/** Templates are written, tried, used and brought back. */
final class TemplateTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    /** @return array<string, mixed> */
    private static function draft(string $name, mixed ...$line): array
    {
        return [
            'name' => $name,
            'subject' => 'About your {{asset|piano}}',
            'document' => ['type' => 'doc', 'content' => [['type' => 'paragraph', 'content' => $line]]],
            'textMessage' => 'Hello {{first_name|there}}',
        ];
    }

    /** @return array<string, mixed> */
    private static function field(string $name, ?string $or = null): array
    {
        return ['type' => 'field', 'attrs' => ['field' => $name, 'or' => $or]];
    }

    /** @return array<string, mixed> */
    private static function text(string $text): array
    {
        return ['type' => 'text', 'text' => $text];
    }

    private function id(string $key): string
    {
        $id = $this->db()->fetchOne('SELECT id FROM message_template WHERE code = ?', [$key]);

        return \is_string($id) ? $id : self::fail("no template $key");
    }

    private function made(): Answer
    {
        return $this->post(
            '/api/templates',
            self::draft('Our own letter', self::text('Hello '), self::field('first_name', 'there'), self::text(', we come to '), self::field('place'), self::text('.')),
        )
            ->ok(201);
    }

    public function testFieldsAndExamplesAreTheBusinesssOwn(): void
    {
        $this->call('PUT', '/api/setup/business', ['name' => 'Hillside Gardens', 'assetWord' => 'garden'])->ok();
        $id = $this->post('/api/templates', self::draft('Garden letter', self::text('Hello '), self::field('coordinator')))->ok(201)->text('id');
        $fields = array_column($this->get("/api/templates/$id")->ok()->rows('fields'), null, 'name');
        self::assertSame(['garden', 'The garden'], [$fields['asset']['label'] ?? '', $fields['asset']['example'] ?? '']);
        self::assertSame('Hillside Gardens', $fields['business']['example'] ?? '');
        self::assertSame('Nessa Quarle', $fields['coordinator']['example'] ?? $fields['lead']['example'] ?? '');
        $preview = $this->post("/api/templates/$id/preview", self::draft('Garden letter', self::text('Hello '), self::field('coordinator')))->ok();
        self::assertStringContainsString('The garden', $preview->text('subject'));
        $this->inquire(['piano' => 'The long border'])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        self::assertStringContainsString(
            'The long border',
            $this->post("/api/templates/$id/preview", self::draft('Garden letter', self::text('Hello '), self::field('coordinator')))->ok()->text('subject'),
            'a thing of theirs, where there is one',
        );
        self::assertSame(
            0,
            preg_match('/\bpiano|corvane|marrowby|quarry|nessa|sorcha|voicing|tuning/i', (string) json_encode(FieldWords::examples(array_map(strval(...), array_keys($fields))))),
            'nothing of the demo is anybody else’s example',
        );
    }

    public function testATemplateIsMadeAndReadWithARecordThatIsThere(): void
    {
        $made = $this->made();
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $examples = $this->get("/api/templates/{$made->text('id')}/examples")->ok();
        self::assertStringContainsString('Orla Fennick', $examples->text('items.0.label'));

        $shown = $this->post(
            "/api/templates/{$made->text('id')}/preview",
            self::draft('Our own letter', self::text('Hello '), self::field('first_name'), self::text('!')) + ['record' => $examples->text('items.0.id')],
        )
            ->ok();
        self::assertSame(['Hello Orla!', '<p>Hello Orla!</p>', 'Hello Orla'], [$shown->text('text'), $shown->text('html'), $shown->text('textMessage')]);
        self::assertSame([1, 150], [$shown->number('length.parts'), $shown->number('length.left')]);

        $gap = $this->post("/api/templates/{$made->text('id')}/preview", self::draft('x', self::field('ready_by')) + ['record' => $examples->text('items.0.id')])->ok();
        self::assertSame(['ready_by'], $gap->column('gaps', 'name'));
    }

    public function testWhatCannotBeFilledInIsRefusedBesideItsField(): void
    {
        foreach ([
            'document' => self::draft('x', self::field('gone_long_ago')),
            'subject' => ['subject' => 'Hello {{nobody}}'] + self::draft('x', self::text('x')),
            'textMessage' => ['textMessage' => 'Hello {{'] + self::draft('x', self::text('x')),
            'name' => self::draft(' ', self::text('x')),
        ] as $path => $draft) {
            $refused = $this->post('/api/templates', $draft);
            self::assertSame([422, $path], [$refused->status, $refused->text('violations.0.path')]);
        }
        $long = $this->post('/api/templates', ['textMessage' => str_repeat('a', 1500)] + self::draft('x', self::text('x')));
        self::assertSame([422, 'textMessage'], [$long->status, $long->text('violations.0.path')]);
        self::assertSame(422, $this->post('/api/templates', self::draft('x'))->status, 'an empty text');
        self::assertSame(422, $this->post('/api/templates', self::draft('We have your inquiry', self::text('x')))->status, 'a name twice');
    }

    public function testEveryVersionIsKeptAndNobodyOverwritesAnother(): void
    {
        $id = $this->made()->text('id');
        $this->call('PUT', "/api/templates/$id", self::draft('Our own letter', self::text('Second words.')) + ['version' => 1])->ok();
        self::assertSame(409, $this->call('PUT', "/api/templates/$id", self::draft('Our own letter', self::text('Third words.')) + ['version' => 1])->status);
        $now = $this->get("/api/templates/$id")->ok();
        self::assertSame(2, $now->number('version'));
        self::assertSame([1], $now->column('versions', 'version'));
        $first = $this->get("/api/templates/$id/versions/1")->ok();
        self::assertSame('place', $first->at('document.content.0.content.3.attrs.field'));
        self::assertSame(404, $this->get("/api/templates/$id/versions/7")->status);
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame('place', $this->get("/api/templates/$id")->ok()->at('document.content.0.content.3.attrs.field'), 'undone');
        $this->call('PUT', "/api/templates/$id", self::draft('Our own letter', self::text('Second words.')) + ['version' => $this->get("/api/templates/$id")->number('version')])
            ->ok();
        // Brought back: saved once more.
        $this->call('PUT', "/api/templates/$id", ['document' => $first->at('document'), 'subject' => $first->text('subject'), 'name' => $first->text('name'), 'version' => 3])
            ->ok();
        self::assertSame(4, $this->get("/api/templates/$id")->ok()->number('version'));
    }

    public function testARuleSendsItAndItCannotBePutAwayMeanwhile(): void
    {
        $made = $this->post('/api/templates', self::draft('Our own letter', self::text('Hello '), self::field('first_name', 'there'), self::text('.')))->ok(201);
        $rule = $this->post('/api/rules', ['name' => 'Answer at once', 'enabled' => true, 'then' => [['kind' => 'message', 'template' => $made->text('key')]]])->ok(201);
        $whole = $this->get("/api/templates/{$made->text('id')}")->ok();
        self::assertSame([['label' => 'Answer at once', 'path' => "/rules/{$rule->text('id')}"]], $whole->rows('usedBy'));
        self::assertSame(422, $this->post("/api/templates/{$made->text('id')}/retire", ['retired' => true])->status);

        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->work();
        $sent = array_values(array_filter(
            $this->get('/api/messages')->ok()->rows('items'),
            static fn (array $one): bool => 'About your Pell & Thrane upright' === $one['subject'],
        ));
        self::assertCount(1, $sent);
        self::assertSame('sent', $sent[0]['state']);
    }

    public function testAnUnusedOneIsPutAwayAndBroughtBack(): void
    {
        $id = $this->made()->text('id');
        self::assertTrue($this->post("/api/templates/$id/retire", ['retired' => true])->ok()->at('retired'));
        self::assertFalse($this->post("/api/templates/$id/retire", ['retired' => false])->ok()->at('retired'));
        self::assertSame(422, $this->post("/api/templates/{$this->id('confirmation')}/retire", ['retired' => true])->status);
    }

    public function testALetterWithAnEmptyPlaceWaitsForAPerson(): void
    {
        $id = $this->id('confirmation');
        $draft = self::draft('We have your inquiry', self::text('Thank you. It will be ready by '), self::field('ready_by'), self::text('. We write again.'));
        $this->call('PUT', "/api/templates/$id", ['subject' => 'Thank you'] + $draft + ['version' => 1])->ok();
        foreach (['left out', 'filled'] as $way) {
            $this->inquire(['name' => 'filled' === $way ? 'Bea Larkhill' : 'Hugh Orrin', 'email' => 'filled' === $way ? 'b@example.com' : 'a@example.com', 'phone' => null])->ok(201);
            $this->accept($this->lastSubmission())->ok();
            $this->work();
            $held = $this->get('/api/messages?state=held')->ok();
            $message = $this->get("/api/messages/{$held->text('items.0.id')}")->ok();
            self::assertSame(['ready_by'], $message->column('gaps', 'name'));
            self::assertSame(422, $this->post("/api/messages/{$message->text('id')}/hold", ['held' => false])->status);
            self::assertSame(422, $this->post("/api/messages/{$message->text('id')}/fill", ['words' => []])->status);
            $filled = $this->post("/api/messages/{$message->text('id')}/fill", ['words' => ['ready_by' => 'filled' === $way ? 'the spring' : '']])->ok();
            self::assertSame('filled' === $way ? 'Thank you. It will be ready by the spring. We write again.' : 'Thank you. We write again.', $filled->text('text'));
            $this->work();
            self::assertSame('sent', $this->get("/api/messages/{$message->text('id')}")->ok()->text('state'));
            self::assertSame(409, $this->post("/api/messages/{$message->text('id')}/cancel")->status);
        }
    }

    public function testAMessageIsHeldLetGoAndCancelled(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $id = $this->get('/api/messages')->ok()->text('items.0.id');
        self::assertSame('held', $this->post("/api/messages/$id/hold", ['held' => true])->ok()->text('state'));
        self::assertSame(409, $this->post("/api/messages/$id/hold", ['held' => true])->status);
        $this->work();
        self::assertSame('held', $this->get("/api/messages/$id")->ok()->text('state'));
        $this->post("/api/messages/$id/hold", ['held' => false])->ok();
        $this->post("/api/messages/$id/cancel")->ok();
        $this->work();
        self::assertSame('cancelled', $this->get("/api/messages/$id")->ok()->text('state'));
    }

    public function testATestGoesToOneselfWithItsStylesAtEachElement(): void
    {
        $id = $this->made()->text('id');
        self::assertSame('coordinator@marrowby.example', $this->post("/api/templates/$id/test", self::draft('Our own letter', self::text('A <b>word</b> & more')))->ok()->text('to'));
        $this->work();
        $message = $this->get('/api/messages')->ok()->text('items.0.id');
        $eml = $this->get("/api/messages/$message/eml")->body;
        $html = quoted_printable_decode(substr($eml, (int) strpos($eml, 'text/html')));
        self::assertStringContainsString('A &lt;b&gt;word&lt;/b&gt; &amp; more', $html);
        self::assertMatchesRegularExpression('/<p style="[^"]*margin/', $html);
        self::assertStringContainsString('Auto-Submitted: auto-generated', $eml);
    }

    public function testWhoeverLeadsSignsWithTheirOwnSignature(): void
    {
        $id = $this->post('/api/templates', self::draft('Signed', self::text('Bye. '), self::field('signature')))->ok(201)->text('id');
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $record = $this->get("/api/templates/$id/examples")->ok()->text('items.0.id');
        $draft = self::draft('Signed', self::field('signature')) + ['record' => $record];
        self::assertStringStartsWith("Nessa Quarle\n", $this->post("/api/templates/$id/preview", $draft)->ok()->text('text'));
        $this->call('PUT', '/api/setup/messages', ['signature' => 'The workshop'])->ok();
        self::assertSame('The workshop', $this->post("/api/templates/$id/preview", $draft)->ok()->text('text'));
        $this->signIn('sorcha@marrowby.example');
        $this->call('PUT', '/api/session/signature', ['signature' => "Sorcha Vell\nwho leads repairs"])->ok(204);
        self::assertSame("Sorcha Vell\nwho leads repairs", $this->get('/api/session')->ok()->text('user.signature'));
        self::assertSame("Sorcha Vell\nwho leads repairs", $this->post("/api/templates/$id/preview", $draft)->ok()->text('text'));
    }

    public function testAnEventMaySendNothingAndThatIsTakenBack(): void
    {
        $id = $this->id('notices');
        $this->post("/api/templates/$id/goes", ['goes' => false])->ok();
        self::assertFalse($this->get("/api/templates/$id")->ok()->at('goes'));
        $staff = $this->db()->fetchOne("SELECT id FROM staff WHERE email = 'pim@marrowby.example'");
        $room = $this->post('/api/notice-rooms', ['name' => 'Van', 'onCall' => [['staff' => $staff, 'days' => [1, 2, 3, 4, 5, 6, 7], 'from' => '00:00', 'until' => '00:00']]])->ok(201)->text('id');
        $this->post('/api/notices', ['room' => $room, 'words' => 'The van is back.'])->ok(201);
        $this->work();
        $left = $this->get('/api/messages')->ok();
        self::assertSame('cancelled', $left->text('items.0.state'));
        self::assertStringContainsString('Switched off', $this->get("/api/messages/{$left->text('items.0.id')}")->ok()->text('failure'));

        $this->post("/api/templates/$id/goes", ['goes' => true])->ok();
        $this->post('/api/notices', ['room' => $room, 'words' => 'And gone again.'])->ok(201);
        $this->work();
        self::assertSame('sent', $this->get('/api/messages')->ok()->text('items.0.state'));
        $refused = $this->post("/api/templates/{$this->id('quote')}/goes", ['goes' => false]);
        self::assertSame([422, 'goes'], [$refused->status, $refused->text('violations.0.path')], 'whoever sends a quote means it');
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Tests\Quotes;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;
use Telamon\Tests\Support\CommandRun;
use ZBateson\MailMimeParser\MailMimeParser;

/** What was signed is one file for everybody, whatever becomes of those it names, and anybody can have it checked. */
final class SignedForGoodTest extends AppTestCase
{
    use AsksRows;
    use CommandRun;
    use WritesQuotes;

    public function testTheFileIsTheSameByLinkOnFileAndInTheMailWhateverChangesLater(): void
    {
        [$t, $id] = $this->signed();
        $byLink = $this->get("/api/public/quotes/$t/quote.pdf")->ok()->body;
        $this->work();
        $this->clock->sleep(60);
        $this->work();
        $files = array_column($this->get("/api/files?project={$this->project}")->ok()->rows('items'), null, 'name');
        self::assertArrayHasKey('Q-0001-1-signed.pdf', $files);
        self::assertArrayHasKey('Q-0001-1-signed-evidence.json', $files);
        $onFile = fn (string $name): string => $this->get('/api/files/'.$this->word($files[$name]['id']))->ok()->body;
        $evidence = $this->get("/api/public/quotes/$t/evidence.json")->ok()->body;
        $ubl = $this->get("/api/quotes/$id/ubl")->ok()->body;
        $mailed = $this->mailed('quote-accepted');

        $client = $this->id('SELECT id FROM client');
        $was = $this->get("/api/clients/$client")->ok();
        $this->call('PUT', "/api/clients/$client", ['version' => $was->number('version'), 'givenName' => 'Somebody', 'familyName' => 'Else', 'address' => '1 Other Street'])->ok();
        $this->db()->executeStatement("UPDATE business SET name = 'Another Name', vat_number = 'IE0000000XX', accent = '#112233'");
        $other = $this->post('/api/clients', ['givenName' => 'Orla', 'familyName' => 'Fennick', 'contactPoints' => [['kind' => 'email', 'value' => 'orla.f@example.org']]])
            ->ok(201)
            ->text('id');
        $this->post("/api/clients/$other/merge", ['other' => $client])->ok();
        $this->clock->sleep(86_400);

        foreach ([
            'the link' => $byLink,
            'the link, later' => $this->get("/api/public/quotes/$t/quote.pdf")->ok()->body,
            'the office' => $this->get("/api/quotes/$id/pdf")->ok()->body,
            'the project' => $onFile('Q-0001-1-signed.pdf'),
            'the mail' => $mailed['Q-0001-1-signed.pdf'] ?? '',
        ] as $where => $bytes) {
            self::assertSame(hash('sha256', $byLink), hash('sha256', $bytes), $where);
        }
        foreach ([
            'the link' => $this->get("/api/public/quotes/$t/evidence.json")->ok()->body,
            'the office' => $this->get("/api/quotes/$id/evidence")->ok()->body,
            'the project' => $onFile('Q-0001-1-signed-evidence.json'),
            'the mail' => $mailed['Q-0001-1-signed-evidence.json'] ?? '',
        ] as $where => $bytes) {
            self::assertSame($evidence, $bytes, $where);
        }
        self::assertSame($ubl, $this->get("/api/quotes/$id/ubl")->ok()->body);
        self::assertStringContainsString('Orla Fennick', $ubl);

        self::assertSame(
            ['signed' => true, 'number' => 'Q-0001', 'revision' => 1, 'signed_at' => '2026-11-25T10:42:00Z', 'holds' => ['document', 'drawing', 'file', 'key'], 'fails' => []],
            $this->verify($byLink, 0),
        );
        self::assertSame([], $this->verify($evidence, 0)['fails'] ?? null);
        foreach ([
            '"name":"Marrowby Piano Workshop"',
            '"name":"Orla Fennick"',
            '"signedBy":"Orla Fennick"',
            '"how":"drawn"',
            '"total":"272.40"',
            '"drawing":"'.self::picture(80).'"',
        ] as $said) {
            self::assertStringContainsString($said, $evidence);
        }
    }

    public function testASignedFileIsRemovedByNobodyAndASweepLeavesIt(): void
    {
        [$t] = $this->signed();
        $this->work();
        $before = $this->get("/api/public/quotes/$t/quote.pdf")->ok()->body;
        foreach ($this->get("/api/files?project={$this->project}")->ok()->rows('items') as $file) {
            if (str_contains($this->word($file['name']), 'signed')) {
                self::assertTrue($file['signed']);
                self::assertStringContainsString('It was signed', $this->call('DELETE', '/api/files/'.$this->word($file['id']))->ok(409)->text('detail'));
            }
        }
        // Even where no record of files is left, the bytes are those that were signed.
        $this->db()->executeStatement('DELETE FROM attachment');
        $this->byClock('uploads');
        self::assertSame($before, $this->get("/api/public/quotes/$t/quote.pdf")->ok()->body);
    }

    public function testWhatWasChangedIsSaidAndWhereNothingIsSignedToo(): void
    {
        [$t, $id] = $this->signed();
        $pdf = $this->get("/api/public/quotes/$t/quote.pdf")->ok()->body;
        $record = $this->get("/api/quotes/$id/evidence")->ok()->body;
        self::assertSame(['file'], $this->verify(substr_replace($pdf, 'X', 2000, 1), 1)['fails'] ?? null);
        self::assertSame(['document', 'file'], $this->verify(str_replace('"Q-0001"', '"Q-0002"', $record), 1)['fails'] ?? null);
        self::assertSame(['signed' => false, 'holds' => [], 'fails' => []], $this->verify('{"a":1}', 2));
        $fresh = $this->sent();
        self::assertFalse($this->verify($this->get("/api/public/quotes/$fresh/quote.pdf")->ok()->body, 2)['signed'] ?? null, 'a quote that nobody has signed');
        $this->get("/api/public/quotes/$fresh/evidence.json")->ok(404);
        $this->verify("[$record,$record]", 0);
        self::assertStringContainsString('nothing signed is in it', (string) json_encode($this->verify("[$record,{\"a\":1}]", 1)));
    }

    public function testAnAgreementIsClosedTheSameWay(): void
    {
        $sent = $this->post('/api/agreements', ['project' => $this->project, 'title' => 'Agreement on Repair', 'text' => 'We agree on the repair.'])->ok(201);
        $t = $sent->text('token');
        $this->get("/api/public/agreements/$t/evidence.json")->ok(404);
        $this->post("/api/public/agreements/$t/sign", ['name' => 'Orla Fennick'])->ok();
        $this->work();
        $pdf = $this->get("/api/public/agreements/$t/agreement.pdf")->ok()->body;
        $this->db()->executeStatement("UPDATE client SET family_name = 'Else'");
        self::assertSame($pdf, $this->get("/api/public/agreements/$t/agreement.pdf")->ok()->body);
        $files = array_column($this->get("/api/files?project={$this->project}")->ok()->rows('items'), null, 'name');
        self::assertSame($pdf, $this->get('/api/files/'.$this->word($files['Agreement on Repair-signed.pdf']['id'] ?? null))->ok()->body);
        $said = $this->verify($pdf, 0);
        self::assertSame([], $said['fails'] ?? null);
        self::assertNull($said['revision']);
        self::assertSame([], $this->verify($this->get("/api/public/agreements/$t/evidence.json")->ok()->body, 0)['fails'] ?? null);
    }

    private function word(mixed $value): string
    {
        self::assertIsString($value);

        return $value;
    }

    /** @return array{string, string} token of the client's link, id of the quote */
    private function signed(): array
    {
        $t = $this->sent();
        $total = $this->post("/api/public/quotes/$t/total", ['ticked' => ['l2']])->ok()->text('total');
        $this->post("/api/public/quotes/$t/accept", ['ticked' => ['l2'], 'total' => $total, 'name' => 'Orla Fennick', 'drawing' => self::picture(80)])->ok();

        return [$t, $this->id('SELECT id FROM quote')];
    }

    /** @return array<array-key, mixed> */
    private function verify(string $bytes, int $status): array
    {
        file_put_contents("{$this->data}/checked", $bytes);
        $told = json_decode(explode("\n", $this->command('telamon:quotes:verify', ['file' => "{$this->data}/checked"], $status))[0], true);

        return \is_array($told) ? $told : [];
    }

    /** @return array<string, string> bytes of what went with a letter, by name */
    private function mailed(string $template): array
    {
        $message = $this->id("SELECT id FROM message WHERE template = '$template'");
        $files = [];
        foreach ((new MailMimeParser())->parse($this->get("/api/messages/$message/eml")->ok()->body, false)->getAllAttachmentParts() as $part) {
            $files[(string) $part->getFilename()] = (string) $part->getBinaryContentStream();
        }

        return $files;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Tests\Quotes;

use Symfony\Component\HttpFoundation\File\UploadedFile;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** The page on which anybody has a file checked: it keeps nothing, and mails what was signed to its signer alone. */
final class CheckPageTest extends AppTestCase
{
    use AsksRows;
    use WritesQuotes;

    public function testTheFileGoesToItsSignerOnceAnHourAndToNobodyElse(): void
    {
        $t = $this->sent();
        $total = $this->post("/api/public/quotes/$t/total", ['ticked' => []])->ok()->text('total');
        $this->post("/api/public/quotes/$t/accept", ['ticked' => [], 'total' => $total, 'name' => 'Orla Fennick'])->ok();
        $pdf = $this->get("/api/public/quotes/$t/quote.pdf")->ok()->body;
        $this->work();
        $this->call('DELETE', '/api/session');
        $files = $this->countRows('stored_file');
        $page = $this->checked($pdf);
        self::assertStringContainsString('this is the quote that was signed', $page);
        self::assertStringContainsString('It is mailed to orla.fennick@example.com, to nobody else.', $page);
        self::assertSame($files, $this->countRows('stored_file'), 'what is checked is not kept');
        self::assertSame(1, preg_match('/name="of" value="([^"]+)"/', $page, $m));

        // Whatever they are called, and wherever they are written to by now: the address that signed.
        $this->db()->executeStatement("UPDATE contact_point SET value = 'thief@example.org' WHERE kind = 'email'");
        self::assertStringContainsString('on its way to orla.fennick@example.com', $this->mail($m[1], 200));
        self::assertStringContainsString('within the last hour', $this->mail($m[1], 200));
        self::assertSame(['orla.fennick@example.com'], $this->db()->fetchFirstColumn("SELECT to_address FROM message WHERE says = 'asked for on the page that checks files'"));
        self::assertStringContainsString('too long ago', $this->mail('0195f4f8-0000-7000-8000-000000000001.9999999999.'.str_repeat('0', 64), 422));
        $this->clock->sleep(3700);
        self::assertStringContainsString('too long ago', $this->mail($m[1], 422));

        self::assertStringContainsString('It is mailed to', $this->checked(substr_replace($pdf, 'X', 2000, 1)), 'a broken copy is what one wants it for');
        foreach (['', 'words', '{"a":1}', "%PDF-1.7\n%%EOF"] as $nothing) {
            $page = '' === $nothing ? $this->checked(null, 422) : $this->checked($nothing);
            self::assertStringNotContainsString('It is mailed to', $page);
        }
    }

    private function checked(?string $bytes, int $status = 200): string
    {
        $files = [];
        if (null !== $bytes) {
            file_put_contents("{$this->data}/chosen.pdf", $bytes);
            $files = ['file' => new UploadedFile("{$this->data}/chosen.pdf", 'chosen.pdf', null, null, true)];
        }
        $this->browser->request(
            'POST',
            '/check',
            files: $files,
            server: ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'multipart/form-data; boundary=x', 'CONTENT_LENGTH' => '100'],
        );
        self::assertSame($status, $this->browser->getResponse()->getStatusCode());

        return (string) $this->browser->getResponse()->getContent();
    }

    private function mail(string $of, int $status): string
    {
        $this->browser->request(
            'POST',
            '/check/mail',
            ['of' => $of],
            server: ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'multipart/form-data; boundary=x', 'CONTENT_LENGTH' => '100'],
        );
        self::assertSame($status, $this->browser->getResponse()->getStatusCode());

        return (string) $this->browser->getResponse()->getContent();
    }
}

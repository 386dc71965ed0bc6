<?php

declare(strict_types=1);

namespace Telamon\Tests\Setup;

use Symfony\Component\HttpFoundation\File\UploadedFile;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;

/** How the public pages look, as the business chooses. */
final class PagesSetUpTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testAColourIsTakenWhereItCanBeRead(): void
    {
        self::assertSame('#7A2E4D', $this->call('PUT', '/api/setup/business', ['accent' => '7a2e4d'])->ok()->text('business.accent'));
        self::assertSame('#7A2E4D', $this->get('/api/public/forms/piano-inquiry')->ok()->text('business.accent'));
        $refused = $this->call('PUT', '/api/setup/business', ['accent' => '#FFCC00'])->ok(422);
        self::assertSame('accent', $refused->text('violations.0.path'));
        self::assertMatchesRegularExpression('/1\.\d to 1, and 4\.5 to 1 is needed\. The nearest that can be read is #[0-9A-F]{6}\./', $refused->text('violations.0.message'));
        preg_match('/is (#[0-9A-F]{6})/', $refused->text('violations.0.message'), $nearest);
        $this->call('PUT', '/api/setup/business', ['accent' => $nearest[1] ?? ''])->ok();
        $this->call('PUT', '/api/setup/business', ['accent' => 'red'])->ok(422);
        $this->call('PUT', '/api/setup/business', ['accent' => ''])->ok();
        self::assertSame('', $this->get('/api/public/forms/piano-inquiry')->ok()->text('business.accent'));
    }

    public function testALogoIsDrawnAnewServedToEverybodyAndUndone(): void
    {
        $picture = imagecreatetruecolor(2000, 500);
        self::assertNotFalse($picture);
        imagepng($picture, "{$this->data}/logo.png");
        $this->sendLogo("{$this->data}/logo.png", 'logo.png')->ok(201);
        $where = $this->get('/api/public/forms/piano-inquiry')->ok()->text('business.logo');
        $this->browser->getCookieJar()->clear();
        $this->browser->request('GET', $where);
        $response = $this->browser->getResponse();
        self::assertSame([200, 'image/png'], [$response->getStatusCode(), $response->headers->get('Content-Type')]);
        $size = getimagesizefromstring($this->browser->getInternalResponse()->getContent());
        self::assertSame([640, 160], [$size[0] ?? 0, $size[1] ?? 0]);
        $this->signIn();
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertNull($this->get('/api/public/forms/piano-inquiry')->ok()->at('business.logo'));
    }

    public function testWhatIsNoPictureIsRefused(): void
    {
        file_put_contents("{$this->data}/bad.png", '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>');
        self::assertSame('file', $this->sendLogo("{$this->data}/bad.png", 'logo.png')->ok(422)->text('violations.0.path'));
        $this->get('/api/public/logo/01a21054-d09d-73f3-84e4-000000000001')->ok(404);
    }

    private function sendLogo(string $path, string $name): Answer
    {
        $this->browser->request(
            'POST',
            '/api/setup/logo',
            files: ['file' => new UploadedFile($path, $name, null, null, true)],
            server: ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'multipart/form-data; boundary=x'],
        );

        return $this->answer('POST', '/api/setup/logo');
    }
}

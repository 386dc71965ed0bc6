<?php

declare(strict_types=1);

namespace Telamon\Tests\Files;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\DataFolder;

final class UploadTest extends AppTestCase
{
    public function testAPhotographIsKeptAndComesBackToStaffOnly(): void
    {
        $id = $this->upload($this->photograph(), 'front.jpg')->ok(201)->text('id');
        $this->inquire(['photos' => [$id]])->ok(201);
        $this->signIn();
        $submission = $this->get('/api/submissions/'.$this->lastSubmission())->ok();
        $file = $submission->rows('answers')[8]['files'];
        self::assertIsArray($file);
        self::assertIsArray($file[0]);
        self::assertSame('front.jpg', $file[0]['name']);
        self::assertTrue($file[0]['isImage']);
        self::assertIsString($file[0]['id']);
        $bytes = $this->get("/api/files/{$file[0]['id']}")->ok();
        self::assertSame('image/jpeg', $bytes->headers['content-type']);
        self::assertSame(file_get_contents($this->photograph()), $bytes->body);
        $this->call('DELETE', '/api/session')->ok(204);
        $this->get("/api/files/{$file[0]['id']}")->ok(401);
    }

    public function testAScriptNamedAsAPhotographIsRefused(): void
    {
        $script = "{$this->data}/evil.jpg";
        file_put_contents($script, "<?php echo 'x';");
        $answer = $this->upload($script, 'evil.jpg')->ok(415);
        self::assertStringContainsString('something else', $answer->violations()['file']);
        self::assertSame(0, $this->countRows('upload'));
    }

    public function testAPhotographNamedAsAScriptIsAPhotograph(): void
    {
        self::assertSame('image/jpeg', $this->upload($this->photograph(), 'shell.php')->ok(201)->text('type'));
    }

    public function testAFortyMegabytePhotographIsTooLarge(): void
    {
        $large = "{$this->data}/large.jpg";
        copy($this->photograph(), $large);
        $handle = fopen($large, 'r+');
        self::assertIsResource($handle);
        ftruncate($handle, 40 * 1_048_576);
        fclose($handle);
        $this->upload($large, 'large.jpg')->ok(413);
    }

    public function testElevenMegabytesAreToldBesideTheField(): void
    {
        $large = "{$this->data}/large.jpg";
        copy($this->photograph(), $large);
        $handle = fopen($large, 'r+');
        self::assertIsResource($handle);
        ftruncate($handle, 11 * 1_048_576);
        fclose($handle);
        self::assertStringContainsString('10 MB', $this->upload($large, 'large.jpg')->ok(413)->violations()['file']);
    }

    public function testAnEmptyFileIsRefused(): void
    {
        file_put_contents("{$this->data}/empty.jpg", '');
        $this->upload("{$this->data}/empty.jpg", 'empty.jpg')->ok(422);
    }

    public function testNoFileAtAllIsRefused(): void
    {
        $this->send('POST', '/api/public/uploads', ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'multipart/form-data; boundary=x'], '')->ok(422);
    }

    public function testANameWithFoldersLosesThem(): void
    {
        self::assertSame('passwd.jpg', $this->upload($this->photograph(), '../../etc/passwd.jpg')->ok(201)->text('name'));
    }

    public function testTheSameBytesAreKeptOnce(): void
    {
        $this->upload($this->photograph(), 'a.jpg')->ok(201);
        $this->upload($this->photograph(), 'b.jpg')->ok(201);
        self::assertSame(1, $this->countRows('stored_file'));
        self::assertSame(2, $this->countRows('upload'));
    }

    public function testAnUploadBelongsToOneSubmission(): void
    {
        $id = $this->upload($this->photograph(), 'front.jpg')->ok(201)->text('id');
        $this->inquire(['photos' => [$id]])->ok(201);
        self::assertStringContainsString('no longer here', $this->inquire(['photos' => [$id]])->ok(422)->violations()['photos']);
    }

    public function testUploadsNamedBesideTheAnswersGoToTheQuestionForFiles(): void
    {
        $id = $this->upload($this->photograph(), 'front.jpg')->ok(201)->text('id');
        $this->post('/api/public/forms/piano-inquiry/submissions', ['answers' => ['name' => 'Orla', 'email' => 'o@example.com', 'service' => 'repair'], 'uploads' => [$id]])
            ->ok(201);
        self::assertSame('photos', $this->db()->fetchOne('SELECT question_key FROM attachment'));
    }

    public function testNinePhotographsAreOneTooMany(): void
    {
        $ids = array_fill(0, 9, '0123456789abcdef0123456789abcdef');
        self::assertStringContainsString('At most 8', $this->inquire(['photos' => $ids])->ok(422)->violations()['photos']);
    }

    public function testAPageThatSaysFurtherDownThatItIsAPdfIsNone(): void
    {
        file_put_contents("{$this->data}/page.pdf", "<html><script>alert(1)</script>\n%PDF-1.4\n1 0 obj\n");
        $this->upload("{$this->data}/page.pdf", 'page.pdf')->ok(415);
        file_put_contents("{$this->data}/paper.pdf", "%PDF-1.4\n1 0 obj\n");
        $this->upload("{$this->data}/paper.pdf", 'paper.pdf')->ok(201);
    }

    public function testAFileIsSavedUnderAnEndingThatFits(): void
    {
        $id = $this->upload($this->photograph(), 'front.html')->ok(201)->text('id');
        $this->inquire(['photos' => [$id]])->ok(201);
        $this->signIn();
        $file = $this->db()->fetchOne('SELECT id FROM attachment');
        self::assertIsString($file);
        $answer = $this->get("/api/files/$file")->ok();
        self::assertStringContainsString('filename=front.html.jpg', $answer->headers['content-disposition']);
        self::assertStringContainsString('no-cache', $answer->headers['cache-control']);
    }

    public function testOneUploadServesOneQuestionToo(): void
    {
        $this->signIn();
        $this->publish('Two places', ['pages' => [['key' => 'a', 'title' => 'A', 'next' => 'Send', 'questions' => [
            ['key' => 'front', 'type' => 'files', 'wording' => 'Front', 'maxFiles' => 1], ['key' => 'back', 'type' => 'files', 'wording' => 'Back', 'maxFiles' => 1],
        ]]]]);
        $id = $this->upload($this->photograph(), 'a.jpg')->ok(201)->text('id');
        self::assertArrayHasKey('back', $this->post('/api/public/forms/two-places/submissions', ['answers' => ['front' => [$id], 'back' => [$id]]])->ok(422)->violations());
        self::assertSame(0, $this->countRows('submission'), 'refused whole');
    }

    public function testWhatLiesHereUnsentHasALimit(): void
    {
        $this->upload($this->photograph(), 'a.jpg')->ok(201);
        // The limit is read when the application starts.
        $this->browser->enableReboot();
        $_ENV['TELAMON_UNSENT_MEGABYTES'] = $_SERVER['TELAMON_UNSENT_MEGABYTES'] = '0';
        try {
            $this->upload($this->photograph(), 'a.jpg')->ok(503);
        } finally {
            $_ENV['TELAMON_UNSENT_MEGABYTES'] = $_SERVER['TELAMON_UNSENT_MEGABYTES'] = '10000';
        }
    }

    public function testTheSameBytesAtTheSameMomentAreKeptOnceAndNobodyFails(): void
    {
        $photograph = $this->photograph();
        $processes = [];
        for ($i = 0; $i < 8; ++$i) {
            $processes[$i] = DataFolder::console($this->data, 'test:keep', $photograph, (string) (microtime(true) + 1.5));
            $processes[$i]->start();
        }
        foreach ($processes as $process) {
            self::assertSame(0, $process->wait(), $process->getErrorOutput());
        }
        self::assertSame(1, $this->countRows('stored_file'));
        self::assertSame(8, $this->countRows('upload'));
        self::assertCount(1, glob("{$this->data}/files/*/*") ?: []);
    }

    public function testTheFolderIsComparedWithTheRecords(): void
    {
        $this->upload($this->photograph(), 'front.jpg')->ok(201);
        $stray = "{$this->data}/files/aa/".str_repeat('a', 64);
        @mkdir(\dirname($stray));
        file_put_contents($stray, 'bytes that no record knows');
        $part = "{$this->data}/files/aa/x.0123456789ab.part";
        file_put_contents($part, 'left by a process that was killed');
        touch($part, time() - 7200);
        $letter = "{$this->data}/files/incoming/019f0000-0000-7000-8000-000000000000.eml";
        mkdir(\dirname($letter));
        file_put_contents($letter, 'of somebody else');
        touch($letter, time() - 7200);
        $this->byClock('uploads');
        self::assertFileExists($letter, 'what is not named as a file here belongs to somebody else');
        unlink($letter);
        self::assertFileDoesNotExist($stray);
        self::assertFileDoesNotExist($part);
        self::assertCount(1, glob("{$this->data}/files/*/*") ?: []);
    }

    public function testWhatWasNeverSentGoesAfterADay(): void
    {
        $this->upload($this->photograph(), 'front.jpg')->ok(201);
        $this->byClock('uploads');
        self::assertSame(1, $this->countRows('upload'));
        $this->clock->modify('+25 hours');
        $this->byClock('uploads');
        self::assertSame(0, $this->countRows('upload'));
        self::assertSame(0, $this->countRows('stored_file'));
        self::assertSame([], glob("{$this->data}/files/*/*"));
    }

    public function testWhatWasSentStays(): void
    {
        $id = $this->upload($this->photograph(), 'front.jpg')->ok(201)->text('id');
        $this->inquire(['photos' => [$id]])->ok(201);
        $this->clock->modify('+25 hours');
        $this->byClock('uploads');
        self::assertSame(1, $this->countRows('stored_file'));
    }

    private function photograph(): string
    {
        $path = "{$this->data}/photograph.jpg";
        if (!is_file($path)) {
            $image = imagecreatetruecolor(64, 48);
            self::assertNotFalse($image);
            imagefilledrectangle($image, 8, 8, 40, 40, 0xAA5533);
            imagejpeg($image, $path);
        }

        return $path;
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Tests\Intake;

use Symfony\Component\Process\Process;
use Telamon\Tests\Support\AppTestCase;

final class PdfTest extends AppTestCase
{
    /** Read back by poppler's pdftotext and pdfimages, which share no code with ours. */
    public function testASubmissionIsAFileWithItsPhotographs(): void
    {
        if (0 !== (new Process(['sh', '-c', 'command -v pdftotext']))->run()) {
            self::markTestSkipped('poppler-utils is missing; bin/test installs it.');
        }
        $jpeg = "{$this->data}/photograph.jpg";
        $image = imagecreatetruecolor(2400, 1600);
        self::assertNotFalse($image);
        imagefilledrectangle($image, 0, 0, 1200, 1600, 0xFF0000);
        imagejpeg($image, $jpeg);
        $upload = $this->upload($jpeg, 'the piano.jpg')->ok(201)->text('id');
        $this->inquire(['matter' => "Ó, <b>not bold</b>\nSecond line", 'photos' => [$upload]])->ok(201);
        $this->signIn();
        $answer = $this->get('/api/submissions/'.$this->lastSubmission().'/pdf')->ok();
        self::assertStringStartsWith('%PDF-', $answer->body);
        $file = "{$this->data}/submission.pdf";
        file_put_contents($file, $answer->body);
        $text = (new Process(['pdftotext', '-layout', $file, '-']))->mustRun()->getOutput();
        foreach (['A-0001, Orla Fennick', 'Ó, <b>not bold</b>', 'Second line', 'Repair it', 'the piano.jpg', 'Marrowby Piano Workshop', 'Wed 25 November 2026'] as $words) {
            self::assertStringContainsString($words, $text);
        }
        self::assertMatchesRegularExpression('/\b1200\s+800\b/', (new Process(['pdfimages', '-list', $file]))->mustRun()->getOutput(), 'made small enough for a page');
    }

    /** Drawn by poppler, which shares no code with ours: each text leaves its own letters behind, and none is a box. */
    public function testWritingOfOtherPlacesIsDrawn(): void
    {
        $this->inquire(['name' => 'Ada Birk', 'matter' => "שלום 12\nسلام\n钢琴调音\n🎹 done\n".str_repeat('x', 400)])->ok(201);
        $this->signIn();
        $file = "{$this->data}/other.pdf";
        file_put_contents($file, $this->get('/api/submissions/'.$this->lastSubmission().'/pdf')->ok()->body);
        $text = (new Process(['pdftotext', '-raw', $file, '-']))->mustRun()->getOutput();
        foreach (['钢琴调音', "\u{FEFC}"] as $words) {
            self::assertStringContainsString($words, $text);
        }
        self::assertMatchesRegularExpression('/םולש|שלום/u', $text);
        self::assertStringNotContainsString("\u{FFFD}", $text);
        self::assertStringContainsString('[musical keyboard]', $text);
        self::assertStringContainsString('DroidSansFallback', (new Process(['pdffonts', $file]))->mustRun()->getOutput());
        // A word without end is broken, not drawn over the edge of the page: an A4 page is 595 points wide.
        preg_match_all('/xMax="([\d.]+)"/', (new Process(['pdftotext', '-bbox', $file, '-']))->mustRun()->getOutput(), $edges);
        self::assertLessThanOrEqual(595.0, max([0.0, ...array_map(floatval(...), $edges[1])]));
    }

    public function testOnlyCoordinatorsReadIt(): void
    {
        $this->inquire()->ok(201);
        $id = $this->lastSubmission();
        $this->signIn('pim@marrowby.example');
        $this->get("/api/submissions/$id/pdf")->ok(403);
    }
}

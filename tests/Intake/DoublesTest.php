<?php

declare(strict_types=1);

namespace Telamon\Tests\Intake;

use Telamon\Tests\Support\AppTestCase;

/** What says the same as something before is told, and never lost. */
final class DoublesTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testTheSameAnswersTwiceAreOneSubmission(): void
    {
        $said = ['matter' => 'It hums.'];
        $first = $this->arrive($said);
        $second = $this->arrive(['matter' => ' it HUMS', 'email' => 'Orla.Fennick@example.com']);
        $sheet = $this->get("/api/submissions/$second")->ok();
        self::assertSame(['set-aside', 'duplicate', $first], [$sheet->text('state'), $sheet->text('aside.reason'), $sheet->text('sameAs.id')]);
        self::assertSame([$second], $this->get("/api/submissions/$first")->ok()->column('cameAgain', 'id'));
        $this->post("/api/submissions/$second/undo")->ok();
        self::assertSame('waiting', $this->get("/api/submissions/$second")->ok()->text('state'), 'she may think otherwise');
        self::assertSame('waiting', $this->get('/api/submissions/'.$this->arrive(['matter' => 'It hums and rattles.']))->ok()->text('state'));
        $this->post("/api/submissions/$second/set-aside", ['reason' => 'duplicate'])->ok();
        $this->accept($first)->ok();
        self::assertSame('set-aside', $this->get('/api/submissions/'.$this->arrive($said))->ok()->text('state'), 'while it is being worked on');
        $this->db()->executeStatement('UPDATE task SET finished_at = ?', ['2026-11-25 10:50:00']);
        self::assertSame('waiting', $this->get('/api/submissions/'.$this->arrive($said))->ok()->text('state'), 'once that is done it is another matter');
        $this->clock->modify('+31 days');
        self::assertSame('waiting', $this->db()->fetchOne('SELECT state FROM submission WHERE id = ?', [$this->arrive($said)]), 'a month later it is another matter');
    }

    public function testADuplicateNamesWhatItDoubles(): void
    {
        $first = $this->arrive();
        $second = $this->arrive();
        self::assertSame(
            ['duplicateOf'],
            array_keys($this->post("/api/submissions/$second/set-aside", ['reason' => 'duplicate', 'duplicateOf' => 'A-9999'])->ok(422)->violations()),
        );
        $this->post("/api/submissions/$second/set-aside", ['reason' => 'duplicate', 'duplicateOf' => 'a-0001'])->ok();
        self::assertSame($first, $this->get("/api/submissions/$second")->ok()->text('sameAs.id'));
    }

    public function testTheSamePhotographIsTheSameAnswerAndAnotherIsNot(): void
    {
        $picture = function (int $red): string {
            $image = imagecreatetruecolor(20, 20);
            self::assertNotFalse($image);
            imagefill($image, 0, 0, $red << 16);
            imagepng($image, "{$this->data}/p.png");

            return $this->upload("{$this->data}/p.png", 'keys.png')->ok(201)->text('id');
        };
        $this->arrive(['matter' => 'It hums.', 'photos' => [$picture(10)]]);
        self::assertSame('set-aside', $this->get('/api/submissions/'.$this->arrive(['matter' => 'It hums.', 'photos' => [$picture(10)]]))->ok()->text('state'));
        self::assertSame('waiting', $this->get('/api/submissions/'.$this->arrive(['matter' => 'It hums.', 'photos' => [$picture(200)]]))->ok()->text('state'));
    }

    public function testWhatNobodySignedIsNeverADouble(): void
    {
        $this->publish('Feedback', ['pages' => [['key' => 'one', 'title' => 'All', 'next' => 'Send', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'destination' => 'client.name'],
            ['key' => 'liked', 'type' => 'yes-no', 'wording' => 'Did you like it?'],
        ]]]]);
        for ($i = 0; $i < 2; ++$i) {
            $this->call('POST', '/api/public/forms/feedback/submissions', ['answers' => ['liked' => 'yes']])->ok(201);
        }
        self::assertSame(2, $this->countRows("submission WHERE state = 'waiting'"), 'two people may well say the same');
    }

    /** @param array<string, mixed> $answers */
    private function arrive(array $answers = []): string
    {
        $this->inquire($answers)->ok(201);

        return $this->lastSubmission();
    }
}

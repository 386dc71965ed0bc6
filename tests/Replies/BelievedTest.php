<?php

declare(strict_types=1);

namespace Telamon\Tests\Replies;

use Telamon\Messages\Message;
use Telamon\Messages\SignedAddresses;
use Telamon\Replies\MailIn;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;
use Telamon\Tests\Support\CommandRun;

/** What comes in by mail is believed, obeyed and kept only as far as it deserves; nothing of it vanishes unsaid. */
final class BelievedTest extends AppTestCase
{
    use AsksRows;
    use CommandRun;

    private string $message = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->inquire()->ok(201);
        $this->work();
        $this->accept($this->lastSubmission())->ok();
        $this->work();
        $this->message = $this->id("SELECT id FROM message WHERE template = 'confirmation'");
        $this->db()->executeStatement("UPDATE message_template SET asks = 'decision' WHERE code = 'confirmation'");
    }

    public function testAStopAmongOtherThingsIsReadByAPersonAndNothingThatAdvertisesGoesMeanwhile(): void
    {
        $reply = $this->take('the keys stop sounding after a second. The pedal squeaks too; could he look at both on Friday?');
        self::assertSame('open', $reply->text('state'));
        self::assertSame('0', $this->number('SELECT COUNT(*) FROM stopped_address'));
        if ('stop' !== $reply->text('says')) {
            $this->db()->executeStatement("UPDATE incoming SET says = 'stop' WHERE id = '{$reply->text('id')}'");
        }
        $this->db()->executeStatement("UPDATE message SET state = 'queued', ground = 'inquiry', sent_at = NULL WHERE id = '{$this->message}'");
        $this->clearMemory();
        $handler = self::getContainer()->get(\Telamon\Messages\SendMessageHandler::class);
        self::assertInstanceOf(\Telamon\Messages\SendMessageHandler::class, $handler);
        $handler(new \Telamon\Messages\SendMessage($this->message));
        self::assertSame('queued', $this->db()->fetchOne('SELECT state FROM message WHERE id = ?', [$this->message]), 'it waits');
        $this->post("/api/replies/{$reply->text('id')}/decide", ['says' => 'question'])->ok();
        $this->clearMemory();
        $handler(new \Telamon\Messages\SendMessage($this->message));
        self::assertSame('sent', $this->db()->fetchOne('SELECT state FROM message WHERE id = ?', [$this->message]));
    }

    public function testAStopAndNothingElseActsAtOnceInTheSubjectToo(): void
    {
        self::assertSame(['stop', 'done'], self::read($this->take('Please stop emailing me.')));
        $this->db()->executeStatement('DELETE FROM stopped_address');
        self::assertSame(['stop', 'done'], self::read($this->take('', ['Subject' => 'STOP'])));
        self::assertNotSame('0', $this->number('SELECT COUNT(*) FROM stopped_address'));
    }

    public function testAYesToWhatAskedNothingWaitsForAPerson(): void
    {
        $this->db()->executeStatement("UPDATE message_template SET asks = 'nothing' WHERE code = 'confirmation'");
        self::assertSame('open', $this->take('Yes')->text('state'));
        self::assertSame('open', $this->take('Yes please, go ahead.')->text('state'));
        $this->db()->executeStatement("UPDATE message_template SET asks = 'decision' WHERE code = 'confirmation'");
        self::assertSame(['yes', 'done'], self::read($this->take('Yes please, go ahead.')));
        self::assertSame('open', $this->take('Thanks, we will be home all week.')->text('state'));
        self::assertSame('open', $this->take('Any Tuesday. No, two flights of stairs.')->text('state'));
    }

    public function testASenderAloneIsNotBelieved(): void
    {
        $forged = $this->take('No thank you, we found someone else.', ['Subject' => 'Re: your letter', 'In-Reply-To' => '']);
        self::assertSame(['no', 'open'], self::read($forged));
        self::assertFalse($forged->at('believed'));
        self::assertStringContainsString('nothing shows that it comes from', $forged->text('done.0'));
        self::assertSame(['stop', 'open'], self::read($this->take('Stop', ['Subject' => 'Re: your letter', 'In-Reply-To' => ''])), 'a stranger cannot silence a client');
        self::assertSame('0', $this->number('SELECT COUNT(*) FROM stopped_address'));

        $checked = [
            'Subject' => 'Re: your letter',
            'In-Reply-To' => '',
            'Authentication-Results' => 'mx.marrowby.example; dkim=pass header.d=example.com; dmarc=pass header.from=example.com',
        ];
        self::assertSame('open', $this->take('No thank you.', $checked)->text('state'), 'nobody has named the own server');
        $this->db()->executeStatement("UPDATE business SET mail_server = 'mx.marrowby.example'");
        $this->clearMemory();
        self::assertSame(['no', 'done'], self::read($this->take('No thank you.', $checked)));
        foreach ([
            'mx.evil.example; dmarc=pass header.from=example.com',
            'mx.marrowby.example; dmarc=fail header.from=example.com',
            'mx.marrowby.example; dmarc=pass header.from=evil.example',
            'mx.marrowby.example; spf=pass smtp.mailfrom=example.com (dmarc=pass header.from=example.com)',
            'mx.marrowby.example; spf=pass smtp.mailfrom="; dmarc=pass header.from=example.com "@evil.example',
            'mx.marrowby.example; spf=pass (a \) ; dmarc=pass header.from=example.com ) smtp.mailfrom=evil.example',
        ] as $results) {
            self::assertSame('open', $this->take('No thank you.', ['Authentication-Results' => $results] + $checked)->text('state'), $results);
        }
    }

    public function testTheSignedAddressIsBelieved(): void
    {
        $addresses = self::getContainer()->get(SignedAddresses::class);
        $doctrine = self::getContainer()->get('doctrine');
        self::assertInstanceOf(SignedAddresses::class, $addresses);
        self::assertInstanceOf(\Doctrine\Persistence\ManagerRegistry::class, $doctrine);
        $message = $doctrine->getManager()->find(Message::class, $this->message);
        self::assertInstanceOf(Message::class, $message);
        self::assertSame(['no', 'done'], self::read($this->take('No thank you.', ['In-Reply-To' => '', 'To' => $addresses->replyTo($message)])));
    }

    public function testWhatMayComeFromAMachineIsShownAndMadeAnArrivalByHand(): void
    {
        $before = (int) $this->number('SELECT COUNT(*) FROM submission');
        $letter = $this->take(
            'What would a tuning of our two uprights cost?',
            ['From' => 'Harp club <no-reply@club.example.org>', 'List-Id' => '<club.example.org>', 'In-Reply-To' => '', 'Subject' => 'Tuning'],
        );
        self::assertSame(['person', 'open', true], [$letter->text('origin'), $letter->text('state'), $letter->at('canArrive')]);
        self::assertStringContainsString('may come from a machine', $letter->text('done.0'));
        self::assertSame((string) $before, $this->number('SELECT COUNT(*) FROM submission'));
        $made = $this->post("/api/replies/{$letter->text('id')}/arrival")->ok();
        self::assertSame(['done', false], [$made->text('state'), $made->at('canArrive')]);
        $this->post("/api/replies/{$letter->text('id')}/arrival")->ok();
        self::assertSame((string) ($before + 1), $this->number('SELECT COUNT(*) FROM submission'), 'twice is one');
    }

    public function testEveryPartOfALetterIsNamedWithWhatBecameOfIt(): void
    {
        $letter = $this->take(
            '',
            [],
            "Content-Type: multipart/mixed; boundary=\"b\"\r\n\r\n--b\r\nContent-Type: text/plain\r\n\r\nHere they are.\r\n--b\r\nContent-Type: audio/mp4\r\nContent-Disposition: attachment; filename=\"buzz.m4a\"\r\nContent-Transfer-Encoding: base64\r\n\r\n".base64_encode('no photograph')."\r\n--b\r\nContent-Type: image/png\r\nContent-Disposition: attachment; filename=\"key.png\"\r\nContent-Transfer-Encoding: base64\r\n\r\n".base64_encode(self::png())."\r\n--b\r\nContent-Type: application/pdf\r\nContent-Disposition: attachment; filename=\"plan.pdf\"\r\nContent-Transfer-Encoding: base64\r\n\r\n".chunk_split(
                base64_encode('%PDF-1.4 '.str_repeat('x', 10 * 1024 * 1024)),
            )."\r\n--b--\r\n",
        );
        self::assertSame(['buzz.m4a', 'key.png', 'plan.pdf'], $letter->column('parts', 'name'));
        self::assertSame(['only photographs and PDF files are put with records; it is in the letter itself', '', 'larger than 10 MB'], $letter->column('parts', 'why'));
        self::assertStringContainsString('buzz.m4a', $this->get("/api/replies/{$letter->text('id')}/eml")->ok()->body);
    }

    public function testALongLetterSaysThatItGoesOn(): void
    {
        $this->take(str_repeat('The piano stands in the hall. ', 300), ['From' => 'tess@example.org', 'In-Reply-To' => '', 'Subject' => 'A long one']);
        self::assertStringContainsString(
            '[It goes on: the whole letter is under Messages.]',
            (string) json_encode($this->get('/api/submissions/'.$this->lastSubmission())->ok()->at('answers')),
        );
    }

    public function testALetterWhoseNoteWasLostIsTakenInAgain(): void
    {
        $eml = $this->eml(
            'A photograph of it.',
            ['From' => 'tess@example.org', 'In-Reply-To' => '', 'Subject' => 'Another piano', 'Message-ID' => '<lost@example.org>'],
            "Content-Type: multipart/mixed; boundary=\"b\"\r\n\r\n--b\r\nContent-Type: text/plain\r\n\r\nA photograph of it.\r\n--b\r\nContent-Type: image/png\r\nContent-Disposition: attachment; filename=\"key.png\"\r\nContent-Transfer-Encoding: base64\r\n\r\n".base64_encode(self::png())."\r\n--b--\r\n",
        );
        $first = $this->takeRaw($eml);
        $submission = $first->text('submission.id');
        // As it stands where the process ends between the arrival and its note.
        $this->db()->executeStatement("DELETE FROM journal_entry WHERE record_id = '{$first->text('id')}'");
        $this->db()->executeStatement("DELETE FROM incoming WHERE id = '{$first->text('id')}'");
        $this->clearMemory();
        self::assertSame($submission, $this->takeRaw($eml)->text('submission.id'));
    }

    public function testTwoMachinesDoNotAnswerEachOtherForEver(): void
    {
        $this->db()->executeStatement("UPDATE form_version SET definition = json_set(definition, '$.copy', json('true'))");
        $queue = self::getContainer()->get(\Telamon\Messages\AutomaticAnswers::class);
        self::assertInstanceOf(\Telamon\Messages\AutomaticAnswers::class, $queue);
        $against = [];
        for ($i = 0; $i < 5; ++$i) {
            $this->take("We have your message number $i.", ['From' => 'robot@example.org', 'In-Reply-To' => '', 'Subject' => "Ticket $i"]);
            $submission = $this->lastSubmission();
            $against[] = $queue->against('first-answer', 'robot@example.org', $submission);
            $copy = $this->db()->fetchAssociative('SELECT * FROM message WHERE id = ?', [$this->message]);
            self::assertIsArray($copy);
            if ('' === $against[$i]) {
                $this->db()
                    ->insert(
                        'message',
                        [
                            'id' => "00000000-0000-7000-8000-00000000000$i",
                            'to_address' => 'robot@example.org',
                            'submission_id' => $submission,
                            'template' => 'first-answer',
                            'queued_at' => $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s'),
                        ] + $copy,
                    );
            }
            $this->clock->modify(0 === $i ? '+1 hour' : '+25 hours');
        }
        self::assertSame(['', 'Not sent: they had the same automatic letter within a day.', '', '', \Telamon\Messages\AutomaticAnswers::ENOUGH], $against);
    }

    public function testTheOriginalStaysAndHasARecord(): void
    {
        $letter = $this->take('No thank you.');
        foreach (glob("{$this->data}/files/incoming/*.eml") ?: [] as $file) {
            touch($file, time() - 7200);
        }
        $this->byClock('uploads');
        $raw = $this->get("/api/replies/{$letter->text('id')}/eml")->ok()->body;
        self::assertSame($this->db()->fetchOne('SELECT original FROM incoming WHERE id = ?', [$letter->text('id')]), hash('sha256', $raw));
    }

    public function testStubsAndWrongLabelsAreReadAsTheyWereMeant(): void
    {
        $letter = $this->take('', [], "Content-Type: multipart/alternative; boundary=\"b\"\r\n\r\n--b\r\nContent-Type: text/plain; charset=us-ascii\r\n\r\nYour mail program cannot show this.\r\n--b\r\nContent-Type: text/html; charset=utf-8\r\n\r\n<p>No thank you, we have found somebody else for the two pianos in the hall, and the stool is mended too. All the best to everybody there!</p>\r\n--b--\r\n");
        self::assertSame('no', $letter->text('says'));
        $plain = $this->take('', [], "Content-Type: text/plain; charset=utf-8\r\n\r\nWe can\x92t do \x80300, sorry \x96 it\x92s a no.\r\n");
        self::assertSame('We can’t do €300, sorry – it’s a no.', trim($plain->text('said')));
    }

    public function testTheCommandReadsSeveralAndKnowsMachines(): void
    {
        $file = function (string $name, string $bytes): string {
            file_put_contents("{$this->data}/$name", $bytes);

            return "{$this->data}/$name";
        };
        $yes = $file('yes.txt', 'Yes, it has three pedals.');
        $machine = $file('machine.eml', $this->eml('Yes please, go ahead.', ['Auto-Submitted' => 'auto-replied']));
        $one = json_decode($this->command('telamon:replies:read', ['file' => [$yes], '--asked' => 'other']), true);
        self::assertIsArray($one);
        self::assertSame('other', $one['says']);
        $both = json_decode($this->command('telamon:replies:read', ['file' => [$yes, $machine]]), true);
        self::assertIsArray($both);
        self::assertCount(2, $both);
        self::assertIsArray($both[1]);
        self::assertSame(['other', ['a machine']], [$both[1]['says'], $both[1]['because']]);
        $this->command('telamon:replies:read', ['file' => [$yes], '--asked' => 'whatever'], 2);
        $this->command('telamon:replies:read', ['file' => ["{$this->data}/nothing"]], 2);
    }

    private static function png(): string
    {
        ob_start();
        imagepng(imagecreatetruecolor(8, 8) ?: throw new \LogicException('no picture'));

        return (string) ob_get_clean();
    }

    /** @return array{string, string} */
    private static function read(Answer $letter): array
    {
        return [$letter->text('says'), $letter->text('state')];
    }

    /** @param array<string, string> $headers over those of an answer to the confirmation; empty ones are left out */
    private function eml(string $words, array $headers = [], string $body = ''): string
    {
        $headers += ['From' => 'orla.fennick@example.com', 'Subject' => 'Re: your letter', 'Message-ID' => '<'.bin2hex(random_bytes(6)).'@example.com>', 'In-Reply-To' => "<{$this->message}@marrowby.example>"];
        $lines = '';
        foreach (array_filter($headers, static fn (string $value): bool => '' !== $value) as $name => $value) {
            $lines .= "$name: $value\r\n";
        }

        return $lines.('' === $body ? "\r\n$words\r\n" : $body);
    }

    /** @param array<string, string> $headers */
    private function take(string $words, array $headers = [], string $body = ''): Answer
    {
        return $this->takeRaw($this->eml($words, $headers, $body));
    }

    private function takeRaw(string $eml): Answer
    {
        $in = self::getContainer()->get(MailIn::class);
        self::assertInstanceOf(MailIn::class, $in);
        $id = $in->take($eml)->id;

        return $this->get("/api/replies/$id")->ok();
    }

    private function clearMemory(): void
    {
        $doctrine = self::getContainer()->get('doctrine');
        self::assertInstanceOf(\Doctrine\Persistence\ManagerRegistry::class, $doctrine);
        $doctrine->getManager()->clear();
    }
}

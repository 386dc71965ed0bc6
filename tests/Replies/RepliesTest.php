<?php

declare(strict_types=1);

namespace Telamon\Tests\Replies;

use Doctrine\Persistence\ManagerRegistry;
use Telamon\Replies\MailIn;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;

/** What comes in finds where it belongs, is read, and what follows is done once and can be undone. */
final class RepliesTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    /** Accepts an inquiry and sends its confirmation; the id of that. */
    private function confirmed(): string
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->work();
        foreach ($this->get('/api/messages')->ok()->rows('items') as $row) {
            if ('confirmation' === $row['kind'] && \is_string($row['id'])) {
                return $row['id'];
            }
        }
        self::fail('no confirmation');
    }

    /** As if the confirmation had asked for a yes or a no. */
    private function asksForADecision(): void
    {
        $this->db()->executeStatement("UPDATE message_template SET asks = 'decision' WHERE code = 'confirmation'");
    }

    private function writes(string $message, string $text): Answer
    {
        return $this->post('/api/stand-in/mail', ['message' => $message, 'text' => $text])->ok(201);
    }

    private function doctrine(): ManagerRegistry
    {
        $doctrine = self::getContainer()->get('doctrine');
        self::assertInstanceOf(ManagerRegistry::class, $doctrine);

        return $doctrine;
    }

    private function take(string $eml): string
    {
        $in = self::getContainer()->get(MailIn::class);
        self::assertInstanceOf(MailIn::class, $in);

        return $in->take($eml)->id;
    }

    public function testAReplyFindsItsThreadIsReadAndStartsWhatItSays(): void
    {
        $this->asksForADecision();
        $reply = $this->writes($this->confirmed(), 'No thank you, we found someone else.');
        self::assertSame(['person', 'no', 'done'], [$reply->text('origin'), $reply->text('says'), $reply->text('state')]);
        self::assertSame('Orla Fennick', $reply->text('client.label'));
        self::assertSame('No thank you, we found someone else.', $reply->text('said'));
        self::assertStringContainsString('> ', $reply->text('whole'));
        $task = $this->db()->fetchOne("SELECT name FROM task WHERE checklist = 'Reply'");
        self::assertSame('Orla Fennick says no: “No thank you, we found someone else.”', $task);
        // Done without a person, and taken back by one.
        $this->post("/api/changes/{$reply->text('change')}/undo")->ok();
        $back = $this->get("/api/replies/{$reply->text('id')}")->ok();
        self::assertSame(['open', null], [$back->text('state'), $back->at('change')]);
        self::assertSame('0', $this->text("SELECT COUNT(*) FROM task WHERE checklist = 'Reply'"));
    }

    public function testWhatIsNotSureWaitsForAPersonWhoSeesWhatEachMeaningStarts(): void
    {
        $reply = $this->writes($this->confirmed(), "Yes, but not before Easter.\n\nKind regards,\nOrla");
        self::assertSame(['open', 'Yes, but not before Easter.'], [$reply->text('state'), $reply->text('said')]);
        self::assertStringContainsString('"but"', $reply->body);
    }

    public function testADecisionIsDoneOnceAndTakenBack(): void
    {
        $reply = $this->writes($this->confirmed(), 'Grand so, the usual I suppose.');
        self::assertSame('open', $reply->text('state'));
        self::assertSame(['yes', 'no', 'later', 'stop', 'question', 'other'], $reply->column('starts', 'says'));
        $path = "/api/replies/{$reply->text('id')}";
        self::assertSame(1, $this->get('/api/replies?state=open')->ok()->number('open'));
        $decided = $this->post("$path/decide", ['says' => 'later'])->ok();
        self::assertSame(['later', 'done'], [$decided->text('says'), $decided->text('state')]);
        // In thirty days is Christmas Day, then a weekend.
        self::assertSame('2026-12-28', substr($this->text("SELECT due FROM task WHERE checklist = 'Reply'"), 0, 10));
        self::assertSame(409, $this->post("$path/decide", ['says' => 'no'])->status);
        self::assertSame(1, (int) $this->text("SELECT COUNT(*) FROM task WHERE checklist = 'Reply'"));
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame('open', $this->get($path)->ok()->text('state'));
        self::assertSame(0, (int) $this->text("SELECT COUNT(*) FROM task WHERE checklist = 'Reply'"));
        self::assertSame(422, $this->post("$path/decide", ['says' => 'perhaps'])->status);
        self::assertSame('left', $this->post("$path/leave")->ok()->text('state'));
    }

    public function testStopAlwaysStops(): void
    {
        $message = $this->confirmed();
        $this->db()->executeStatement("UPDATE message SET state = 'queued', ground = 'inquiry' WHERE id <> ? AND to_address <> 'sorcha@marrowby.example'", [$message]);
        $reply = $this->writes($message, 'Please stop writing to me.');
        self::assertSame(['stop', 'done'], [$reply->text('says'), $reply->text('state')]);
        self::assertSame(['+353209143327', 'orla.fennick@example.com'], $this->db()->fetchFirstColumn('SELECT address FROM stopped_address ORDER BY address'), 'no text either');
        // Said twice it is one.
        $this->writes($message, 'STOP');
        self::assertSame('2', $this->text('SELECT COUNT(*) FROM stopped_address'));
    }

    public function testWhoAsksFromAnotherAddressIsLeftAloneAtAllOfThem(): void
    {
        $message = $this->confirmed();
        $this->take("From: orla.at.home@example.com\r\nMessage-ID: <home@example.com>\r\nIn-Reply-To: <$message@marrowby.example>\r\n\r\nUnsubscribe me please.\r\n");
        self::assertSame(
            ['+353209143327', 'orla.at.home@example.com', 'orla.fennick@example.com'],
            $this->db()->fetchFirstColumn('SELECT address FROM stopped_address ORDER BY address'),
        );
    }

    public function testTenMegabytesOfQuotedTextAreTakenIn(): void
    {
        $message = $this->confirmed();
        $reply = $this->get(
            '/api/replies/'.$this->take(
                "From: orla.fennick@example.com\r\nMessage-ID: <big@example.com>\r\nIn-Reply-To: <$message@marrowby.example>\r\n\r\nNo thanks.\r\n".str_repeat("> stop, yes, stop\r\n", 600_000),
            ),
        )
            ->ok();
        self::assertSame(['no', 'No thanks.'], [$reply->text('says'), $reply->text('said')]);
        self::assertLessThan(100_000, mb_strlen($reply->text('whole')));
    }

    public function testAMailThatBelongsNowhereIsAnArrival(): void
    {
        $in = $this->post('/api/stand-in/mail', ['from' => 'tess.corvane@example.com', 'subject' => 'Tuning in May', 'text' => 'Do you tune uprights in Dunmarl?'])->ok(201);
        self::assertSame('done', $in->text('state'));
        $arrival = $this->get("/api/submissions/{$this->lastSubmission()}")->ok();
        self::assertStringContainsString($arrival->text('number'), $in->text('submission.label'));
        self::assertSame('mail', $arrival->text('channel'));
        self::assertStringContainsString('Do you tune uprights in Dunmarl?', $arrival->body);
        self::assertStringContainsString('"email":"tess.corvane@example.com"', $this->text('SELECT answers FROM submission ORDER BY rowid DESC LIMIT 1'));
    }

    public function testTheSameMailTwiceIsOne(): void
    {
        $eml = "From: Tess <tess@example.com>\r\nTo: hello@marrowby.example\r\nSubject: Once\r\nMessage-ID: <once@example.com>\r\n\r\nHello.\r\n";
        self::assertSame($this->take($eml), $this->take($eml));
        self::assertSame('1', $this->text('SELECT COUNT(*) FROM incoming'));
        self::assertSame('1', $this->text('SELECT COUNT(*) FROM submission'));
        $without = "From: tess@example.com\r\n\r\nNo id at all.";
        self::assertSame($this->take($without), $this->take($without));
    }

    public function testAReportOfAMailServerIsShownOnTheMessage(): void
    {
        $message = $this->confirmed();
        $this->take(
            "From: MAILER-DAEMON@mx.example\r\nSubject: Undelivered Mail\r\nAuto-Submitted: auto-replied\r\nContent-Type: multipart/report; report-type=delivery-status; boundary=b\r\n\r\n--b\r\nContent-Type: text/plain\r\n\r\nSorry.\r\n--b\r\nContent-Type: message/delivery-status\r\n\r\nReporting-MTA: dns; mx.example\r\n\r\nFinal-Recipient: rfc822; orla.fennick@example.com\r\nAction: failed\r\nStatus: 5.1.1\r\nDiagnostic-Code: smtp; 550 no such user\r\n\r\n--b\r\nContent-Type: text/rfc822-headers\r\n\r\nMessage-ID: <$message@marrowby.example>\r\n--b--\r\n",
        );
        $shown = $this->get("/api/messages/$message")->ok();
        self::assertSame(['failed', 'It came back: There is no such address. “550 no such user”'], [$shown->text('state'), $shown->text('failure')]);
        self::assertSame('1', $this->text('SELECT COUNT(*) FROM submission'), 'no arrival comes of it');
    }

    public function testMachinesAreNotAnsweredAndLoopsEnd(): void
    {
        $message = $this->confirmed();
        $before = $this->text('SELECT COUNT(*) FROM message');
        for ($i = 0; $i < 3; ++$i) {
            $this->take(
                "From: orla.fennick@example.com\r\nSubject: Automatic reply: yes\r\nAuto-Submitted: auto-replied\r\nMessage-ID: <away$i@example.com>\r\nIn-Reply-To: <$message@marrowby.example>\r\n\r\nYes, stop, I am away.\r\n",
            );
        }
        $this->work();
        self::assertSame($before, $this->text('SELECT COUNT(*) FROM message'));
        self::assertSame('0', $this->text('SELECT COUNT(*) FROM stopped_address'));
        self::assertSame(['left', 'left', 'left'], $this->get('/api/replies')->ok()->column('items', 'state'));
        self::assertSame('1', $this->text('SELECT COUNT(*) FROM submission'));
    }

    public function testAReplyToAProjectThatIsGoneStillReachesAPerson(): void
    {
        $message = $this->confirmed();
        $this->post("/api/submissions/{$this->lastSubmission()}/undo")->ok();
        $reply = $this->writes($message, 'Yes please, go ahead.');
        self::assertContains($reply->text('state'), ['open', 'done']);
        self::assertSame('open', $reply->text('state'), 'there is nobody to give a task to');
        self::assertSame('Orla Fennick', $this->get("/api/replies/{$reply->text('id')}")->ok()->text('fromName'));
    }

    public function testLettersAndFilesOfAllKindsAreReadRight(): void
    {
        $message = $this->confirmed();
        $png = base64_encode(self::picture());
        $eml = "From: =?utf-8?Q?Orla_N=C3=AD?= <orla.fennick@example.com>\r\nTo: hello@marrowby.example\r\nSubject: =?iso-8859-1?Q?Re:_f=FCr_Sie?=\r\nMessage-ID: <kinds@example.com>\r\nReferences: <x@y> <$message@marrowby.example>\r\nContent-Type: multipart/mixed; boundary=o\r\n\r\n--o\r\nContent-Type: multipart/alternative; boundary=i\r\n\r\n--i\r\nContent-Type: text/html; charset=iso-8859-1\r\nContent-Transfer-Encoding: quoted-printable\r\n\r\n<p>Gr=FC=DFe,<br>hier ist das Bild.</p><blockquote>STOP</blockquote><script>x</script>\r\n--i--\r\n--o\r\nContent-Type: image/png; name=\"piano.png\"\r\nContent-Disposition: attachment; filename=\"piano.png\"\r\nContent-Transfer-Encoding: base64\r\n\r\n$png\r\n--o--\r\n";
        $reply = $this->get("/api/replies/{$this->take($eml)}")->ok();
        self::assertSame(['Orla Ní', 'Re: für Sie', "Grüße,\nhier ist das Bild."], [$reply->text('fromName'), $reply->text('subject'), $reply->text('said')]);
        self::assertSame('piano.png', $this->text("SELECT name FROM attachment WHERE name = 'piano.png' AND project_id IS NOT NULL"));
        self::assertStringContainsString('kinds@example.com', $this->get("/api/replies/{$reply->text('id')}/eml")->ok()->body);
    }

    public function testReInASubjectBelongsToTheLastLetterForNinetyDays(): void
    {
        $message = $this->confirmed();
        $eml = static fn (string $id, string $subject): string => "From: Orla.Fennick@example.com\r\nSubject: $subject\r\nMessage-ID: <$id@example.com>\r\n\r\nHow long does it take?\r\n";
        self::assertSame($message, $this->get('/api/replies/'.$this->take($eml('re', 'AW: your letter')))->ok()->text('answers.id'));
        self::assertNull($this->get('/api/replies/'.$this->take($eml('new', 'Another piano')))->ok()->at('answers'), 'a new matter is an arrival');
        $this->clock->modify('+91 days');
        $this->signIn();
        self::assertNull($this->get('/api/replies/'.$this->take($eml('late', 'Re: your letter')))->ok()->at('answers'));
    }

    public function testWhatTheWorkerFindsInTheFolderIsTakenInOnceAndMovedAside(): void
    {
        $folder = "{$this->data}/mail-in";
        mkdir($folder);
        file_put_contents("$folder/a.eml", "From: tess@example.com\r\nMessage-ID: <a@example.com>\r\n\r\nHello.\r\n");
        file_put_contents("$folder/b.txt", 'not a mail');
        $this->byClock('mail-in');
        self::assertFileExists("$folder/a.eml", 'it may still be written');
        $this->rest($folder);
        $this->byClock('mail-in');
        $this->byClock('mail-in');
        self::assertSame(['a.eml'], array_map(basename(...), glob("$folder/taken/*") ?: []));
        self::assertFileExists("$folder/b.txt");
        self::assertSame('1', $this->text('SELECT COUNT(*) FROM incoming'));
    }

    public function testAMailThatTheDatabaseRefusesIsSetAsideAndTheNextOneIsTakenIn(): void
    {
        $this->db()->executeStatement("CREATE TRIGGER refuse BEFORE INSERT ON incoming WHEN NEW.subject = 'Refused' BEGIN SELECT RAISE(ABORT, 'no'); END");
        $folder = $this->data;
        mkdir("$folder/mail-in");
        $mail = static fn (string $subject): string => "From: mona@example.org\r\nTo: desk@marrowby.example\r\nSubject: $subject\r\nMessage-ID: <$subject@example.org>\r\nAuto-Submitted: auto-replied\r\n\r\nHello.\r\n";
        file_put_contents("$folder/mail-in/1.eml", $mail('Refused'));
        file_put_contents("$folder/mail-in/2.eml", $mail('Fine'));
        $this->rest("$folder/mail-in");
        $this->byClock('mail-in');
        self::assertFileExists("$folder/mail-in/taking/1.eml", 'it is tried again');
        self::assertFileExists("$folder/mail-in/taken/2.eml", 'the other did not wait for it');
        $this->signIn();
        self::assertSame(1, $this->get('/api/replies')->ok()->number('notRead'));
        $this->db()->executeStatement('DROP TRIGGER refuse');
        $this->byClock('mail-in');
        self::assertFileExists("$folder/mail-in/taking/1.eml", 'not before its time');
        $this->clock->modify('+61 seconds');
        $this->byClock('mail-in');
        self::assertFileExists("$folder/mail-in/taken/1.eml");
        self::assertSame(['2', '0'], [$this->text('SELECT COUNT(*) FROM incoming'), $this->text('SELECT COUNT(*) FROM due_trouble')]);
    }

    /** What lies there has been written some time ago. */
    private function rest(string $folder): void
    {
        foreach (glob("$folder/*") ?: [] as $file) {
            touch($file, time() - 10);
        }
    }

    public function testWhatHasToBeReadComesFirstHoweverOldItIs(): void
    {
        $this->take(
            "From: mona@example.org\r\nSubject: Re: old\r\nMessage-ID: <old@example.org>\r\nIn-Reply-To: <{$this->confirmed()}@marrowby.example>\r\n\r\nGrand so, the usual I suppose.\r\n",
        );
        $this->clock->modify('+1 day');
        for ($i = 0; $i < 55; ++$i) {
            $this->take("From: robot@example.org\r\nSubject: Report $i\r\nMessage-ID: <r$i@example.org>\r\nAuto-Submitted: auto-generated\r\n\r\nFine.\r\n");
        }
        $first = $this->get('/api/replies')->ok();
        self::assertSame('Re: old', $first->text('items.0.subject'));
        $next = $this->get("/api/replies?cursor={$first->text('next')}")->ok();
        self::assertSame(56, \count($first->rows('items')) + \count($next->rows('items')));
        self::assertNotContains('Re: old', $next->column('items', 'subject'));
    }

    public function testAStopThatWasCutOffIsCarriedOutWhenTheMailIsTakenInAgain(): void
    {
        $eml = "From: mona@example.org\r\nSubject: Re: piano\r\nMessage-ID: <stop@example.org>\r\nIn-Reply-To: <{$this->confirmed()}@marrowby.example>\r\n\r\nStop writing to me.\r\n";
        $id = $this->take($eml);
        self::assertSame('done', $this->get("/api/replies/$id")->ok()->text('state'));
        // As it stands where the process ends after the reply was written and before it was carried out.
        $this->db()->executeStatement("UPDATE incoming SET state = 'open', done = '[]' WHERE id = '$id'");
        $this->db()->executeStatement('DELETE FROM stopped_address');
        $this->doctrine()->getManager()->clear();
        self::assertSame($id, $this->take($eml));
        self::assertNotSame('0', $this->text('SELECT COUNT(*) FROM stopped_address'));
    }

    public function testLaterIsTheDayThatTheyName(): void
    {
        $in = $this->writes($this->confirmed(), 'Not now, sorry. Could you ask me again in March?');
        self::assertSame('later', $in->text('says'));
        $this->post("/api/replies/{$in->text('id')}/decide", ['says' => 'later']);
        self::assertSame('2027-03-01', $this->text("SELECT due FROM task WHERE name LIKE 'Ask %again%'"));
        self::assertStringContainsString('Mon 1 March 2027, the day that they name', $this->get("/api/replies/{$in->text('id')}")->ok()->body);
    }

    public function testAYesToAQuoteSendsTheWayToSignIt(): void
    {
        $message = $this->confirmed();
        $quote = $this->quoted();
        $this->asksForADecision();
        $reply = $this->writes($message, 'Yes please, go ahead.');
        self::assertSame('done', $reply->text('state'));
        self::assertStringContainsString('sends Orla Fennick the way to accept', $reply->text('done.0'));
        self::assertSame('queued', $this->text("SELECT state FROM message WHERE template = 'quote-yes'"), $quote);
        self::assertSame('0', $this->text("SELECT COUNT(*) FROM task WHERE checklist = 'Reply'"));
    }

    /** A quote that is sent, of the only project; its number. */
    private function quoted(): string
    {
        $project = $this->text('SELECT id FROM project');
        $quote = $this->post('/api/quotes', ['project' => $project])->ok(201);
        $content = $quote->map('content');
        $content['lines'] = [['key' => 'a', 'name' => 'Tuning', 'price' => '85.00', 'quantity' => '1', 'vat' => ['category' => 'S', 'rate' => '13.5']]];
        $kept = $this->call('PUT', "/api/quotes/{$quote->text('id')}", ['version' => $quote->number('version'), 'content' => $content])->ok();
        $this->post("/api/quotes/{$quote->text('id')}/send", ['version' => $kept->number('version')])->ok();

        return $quote->text('id');
    }

    public function testBrokenMailDoesNotStopTheRest(): void
    {
        foreach ([
            '',
            "\0\0\0",
            'no headers at all',
            "From: x\r\nContent-Type: multipart/mixed; boundary=\"a\"\r\n\r\n--a\r\nContent-Type: multipart/mixed; boundary=\"a\"\r\n\r\n--a\r\n",
            'Subject: '.str_repeat('x', 5000)."\r\n\r\n".str_repeat('y', 300_000),
            "From: a@example.com\r\nContent-Type: text/plain; charset=nonsense\r\nContent-Transfer-Encoding: base64\r\n\r\n!!!!",
        ] as $eml) {
            $this->take($eml);
        }
        self::assertGreaterThan(0, (int) $this->text('SELECT COUNT(*) FROM incoming'));
        $this->get('/api/replies')->ok();
    }

    public function testRepliesGoToASignedAddressThatCannotBeMadeUp(): void
    {
        $message = $this->confirmed();
        $eml = $this->get("/api/messages/$message/eml")->ok()->body;
        self::assertMatchesRegularExpression('/^Reply-To: .*<hello\+r-[0-9a-f]{32}-[0-9a-f]{16}@marrowby\.example>/m', str_replace("\r\n ", ' ', $eml));
        self::assertSame(1, preg_match('/<(hello\+r-[0-9a-f]{32})-([0-9a-f]{16})@/', $eml, $m));
        $true = $this->take("From: other@example.com\r\nTo: {$m[1]}-{$m[2]}@marrowby.example\r\nMessage-ID: <t@e>\r\n\r\nNo thanks.\r\n");
        self::assertSame($message, $this->get("/api/replies/$true")->ok()->text('answers.id'));
        $false = $this->take("From: other@example.com\r\nTo: {$m[1]}-0000000000000000@marrowby.example\r\nMessage-ID: <f@e>\r\n\r\nNo thanks.\r\n");
        self::assertNull($this->get("/api/replies/$false")->ok()->at('answers'));
    }

    private static function picture(): string
    {
        $image = imagecreatetruecolor(8, 8);
        ob_start();
        imagepng($image ?: self::fail('no picture'));

        return (string) ob_get_clean();
    }

    private function text(string $sql): string
    {
        $value = $this->db()->fetchOne($sql);

        return \is_scalar($value) ? (string) $value : '';
    }
}

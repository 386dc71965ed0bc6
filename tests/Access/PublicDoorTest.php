<?php

declare(strict_types=1);

namespace Telamon\Tests\Access;

use Telamon\Access\PasswordLinks;
use Telamon\Access\SendPasswordLink;
use Telamon\Http\SignedText;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;
use Telamon\Tests\Support\Books;

/** The public door: nobody is locked out by strangers, and no link opens more, or longer, than it should. */
final class PublicDoorTest extends AppTestCase
{
    use AsksRows;
    use Books;

    public function testStrangersWhoGuessLockNobodyOutWhereTheyHaveSignedInBefore(): void
    {
        $this->signIn();
        $known = $this->browser->getCookieJar()->all();
        $this->browser->getCookieJar()->clear();
        for ($i = 0; $i < 40; ++$i) {
            $this->call('POST', '/api/session', ['email' => 'coordinator@marrowby.example', 'password' => "guess $i"], ['REMOTE_ADDR' => "198.51.100.$i"]);
        }
        self::assertSame(
            429,
            $this->call('POST', '/api/session', ['email' => 'coordinator@marrowby.example', 'password' => 'telamon-demo'], ['REMOTE_ADDR' => '198.51.100.99'])->status,
            'from somewhere new it is closed',
        );
        foreach ($known as $cookie) {
            if ('telamon_device' === $cookie->getName()) {
                $this->browser->getCookieJar()->set($cookie);
            }
        }
        $this->call('POST', '/api/session', ['email' => 'coordinator@marrowby.example', 'password' => 'telamon-demo'], ['REMOTE_ADDR' => '198.51.100.99'])->ok();
        $this->browser->getCookieJar()->expire('MOCKSESSID');
        for ($i = 0; $i < 6; ++$i) {
            $tried = $this->post('/api/session', ['email' => 'coordinator@marrowby.example', 'password' => "guess $i"])->status;
        }
        self::assertSame(429, $tried ?? 0, 'on the device itself guessing is slowed down too');
        self::assertSame(
            401,
            $this->call('POST', '/api/session', ['email' => 'sorcha@marrowby.example', 'password' => 'wrong'], ['REMOTE_ADDR' => '198.51.100.98'])->status,
            'and it is known for one account only',
        );
    }

    public function testLinksHaveACounterOfTheirOwnAndThreeAnHourGoToAnAddress(): void
    {
        for ($i = 0; $i < 5; ++$i) {
            $this->call('POST', '/api/public/password-links', ['email' => 'pim@marrowby.example'], ['REMOTE_ADDR' => "198.51.100.$i"])->ok(204);
        }
        self::assertSame('3', $this->number("SELECT COUNT(*) FROM queued WHERE body LIKE '%SendPasswordLink%'"), 'whoever asks is not told');
        self::assertSame(200, $this->post('/api/session', ['email' => 'pim@marrowby.example', 'password' => 'telamon-demo'])->status, 'asking for links locks nobody out');
        for ($i = 0; $i < 21; ++$i) {
            $last = $this->post('/api/public/password-links', ['email' => "somebody$i@marrowby.example"])->status;
        }
        self::assertSame(429, $last ?? 0, 'and one network address asks for some, not for all');
    }

    public function testACorrectedInvitationEndsTheOneThatWentToTheWrongAddress(): void
    {
        $this->signIn();
        $added = $this->post('/api/setup/staff', ['name' => 'Una Merrow', 'email' => 'una@wrong.example', 'role' => 'field'])->ok(201);
        $id = $this->id("SELECT id FROM staff WHERE email = 'una@wrong.example'");
        self::assertNotSame('', $added->text('password'));
        $wrong = $this->invited('una@wrong.example');
        $this->call('PUT', "/api/setup/staff/$id", ['email' => 'una@marrowby.example'])->ok();
        $this->call('PUT', '/api/public/password', ['token' => $wrong, 'password' => 'four quiet wooden hammers'])->ok(410);
        $first = $this->invited('una@marrowby.example');
        $second = $this->invited('una@marrowby.example');
        $this->call('PUT', '/api/public/password', ['token' => $first, 'password' => 'four quiet wooden hammers'])->ok(410);
        $this->call('PUT', '/api/public/password', ['token' => $second, 'password' => 'four quiet wooden hammers'])->ok(204);
    }

    public function testASignedLinkHasOneSpelling(): void
    {
        $signed = self::getContainer()->get(SignedText::class);
        self::assertInstanceOf(SignedText::class, $signed);
        [$text, $until, $mark] = explode('.', $signed->sign('booking', 's:1', 3600));
        self::assertSame('s:1', $signed->read('booking', "$text.$until.$mark"));
        foreach ([
            "$text.0$until.$mark",
            "$text.00$until.$mark",
            "$text.+$until.$mark",
            "$text.$until.$mark\n",
            "$text. $until.$mark",
            "$text.$until.".strtoupper($mark),
        ] as $spelt) {
            self::assertNull($signed->read('booking', $spelt), $spelt);
        }
        $t = $this->begin();
        $at = $this->starts($t, 'tuning')[0];
        $this->book($t, $at)->ok(201);
        [$text] = explode('.', $t);
        $again = $signed->sign('booking', $text, 7200);
        self::assertNotSame($t, $again);
        $this->book($again, $this->starts($t, 'tuning')[3])->ok(201);
        self::assertSame('1', $this->number('SELECT COUNT(*) FROM appointment'), 'what is signed counts, not how often it was signed');
    }

    public function testWhatLooksMachineMadeBooksNothingAndTheSameAgainGoesOnWhereItStopped(): void
    {
        $answers = ['name' => 'Orla Fennick', 'email' => 'orla@example.com', 'place' => '7 Weir Cottages, Marrowby', 'piano' => 'Pell & Thrane'];
        self::assertNull($this->post('/api/public/forms/book/submissions', ['booking' => 'visit', 'unseen' => 'spam', 'answers' => $answers])->ok(201)->at('next'));
        $first = $this->post('/api/public/forms/book/submissions', ['booking' => 'visit', 'answers' => $answers])->ok(201);
        $again = $this->post('/api/public/forms/book/submissions', ['booking' => 'visit', 'answers' => $answers])->ok(201);
        self::assertSame('set-aside', $this->db()->fetchOne('SELECT state FROM submission ORDER BY rowid DESC LIMIT 1'), 'it is the same as before');
        parse_str((string) parse_url($again->text('next.to'), \PHP_URL_QUERY), $query);
        self::assertIsString($query['t']);
        $this->book($query['t'], $this->starts($query['t'], 'tuning')[0])->ok(201);
        $this->work();
        self::assertSame($first->text('reference'), $this->db()->fetchOne('SELECT s.number FROM appointment a JOIN submission s ON s.id = a.submission_id'));
        self::assertNotFalse($this->db()->fetchOne('SELECT client_id FROM appointment WHERE client_id IS NOT NULL'), 'a client and a project come of it');
    }

    public function testABookingTakesItsSubmissionOutOfWhatWasSetAside(): void
    {
        $t = $this->begin();
        $id = $this->lastSubmission();
        $this->signIn();
        $this->post("/api/submissions/$id/set-aside", ['reason' => 'other', 'note' => 'never answered'])->ok();
        $this->book($t, $this->starts($t, 'tuning')[0])->ok(201);
        $this->work();
        self::assertNotSame('set-aside', $this->db()->fetchOne('SELECT state FROM submission WHERE id = ?', [$id]));
    }

    public function testBeyondTwoOpenOnesTheNextIsConfirmedByMail(): void
    {
        $last = '';
        $states = [];
        for ($i = 0; $i < 3; ++$i) {
            $t = $this->begin('Orla Fennick', 'orla@example.com');
            $visit = $this->book($t, $this->starts($t, 'tuning')[2 * $i])->ok(201);
            $states[] = $visit->text('state');
            $last = $visit->text('token');
        }
        self::assertSame(['booked', 'booked', 'offered'], $states);
        $this->work();
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM message WHERE template = 'offered' AND to_address = 'orla@example.com'"));
        self::assertSame('2', $this->number('SELECT COUNT(*) FROM appointment WHERE client_id IS NOT NULL'), 'only what stands is taken onto a client');
        $this->post('/api/public/visits/'.$last.'/yes')->ok();
        $this->work();
        self::assertSame('3', $this->number("SELECT COUNT(*) FROM appointment WHERE client_id IS NOT NULL AND state = 'booked'"));
    }

    public function testAWholeDiarysAddressDiesWithTheRightsOfWhoMadeIt(): void
    {
        $this->signIn();
        $path = $this->post('/api/diary/feeds')->ok(201)->text('path');
        $this->browser->request('GET', $path);
        self::assertSame(200, $this->browser->getResponse()->getStatusCode());
        $this->db()->executeStatement("UPDATE staff SET role = 'field' WHERE email = 'coordinator@marrowby.example'");
        $this->get($path)->ok(404);
    }

    public function testLineBreaksInNamesAreBlanksAndARefusalIsLogged(): void
    {
        $this->signIn();
        $made = $this->post('/api/clients', ['givenName' => "Orla\r\nBcc: all@example.org", 'familyName' => 'Fennick'])->ok(201);
        self::assertStringNotContainsString('\n', (string) json_encode($made->at('name')));
        $this->signIn('pim@marrowby.example');
        $this->get('/api/setup')->ok(403);
        self::assertStringContainsString('GET /api/setup', (string) file_get_contents((glob("{$this->data}/log/access-*.log") ?: [''])[0]));
    }

    private function invited(string $email): string
    {
        $links = self::getContainer()->get(PasswordLinks::class);
        self::assertInstanceOf(PasswordLinks::class, $links);
        $before = glob("{$this->data}/mail/*") ?: [];
        $links->send(new SendPasswordLink($email, true));
        $new = array_values(array_diff(glob("{$this->data}/mail/*") ?: [], $before));
        self::assertCount(1, $new);
        $mail = quoted_printable_decode((string) file_get_contents($new[0]));
        self::assertSame(1, preg_match('/token=([^\s"<]+)/', $mail, $m), $mail);

        return rawurldecode($m[1]);
    }
}

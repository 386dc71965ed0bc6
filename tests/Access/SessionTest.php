<?php

declare(strict_types=1);

namespace Telamon\Tests\Access;

use Telamon\Tests\Support\AppTestCase;

final class SessionTest extends AppTestCase
{
    public function testNobodyIsSignedInAtFirst(): void
    {
        $this->get('/api/session')->ok(401);
    }

    public function testSigningInTellsWhoAndWhere(): void
    {
        $answer = $this->signIn();
        self::assertSame('Nessa Quarle', $answer->text('user.name'));
        self::assertSame('coordinator', $answer->text('user.role'));
        self::assertSame('Europe/Dublin', $answer->text('business.timeZone'));
        self::assertSame('NQ', $this->get('/api/session')->ok()->text('user.initials'));
    }

    public function testSigningOutEndsIt(): void
    {
        $this->signIn();
        $this->call('DELETE', '/api/session')->ok(204);
        $this->get('/api/session')->ok(401);
    }

    public function testAWrongPasswordSaysNoMoreThanThat(): void
    {
        $wrong = $this->post('/api/session', ['email' => 'coordinator@marrowby.example', 'password' => 'guess'])->ok(401);
        $unknown = $this->post('/api/session', ['email' => 'nobody@marrowby.example', 'password' => 'guess'])->ok(401);
        self::assertSame($wrong->text('detail'), $unknown->text('detail'));
    }

    public function testGuessingIsSlowedDown(): void
    {
        for ($i = 0; $i < 5; ++$i) {
            $this->post('/api/session', ['email' => 'coordinator@marrowby.example', 'password' => "guess $i"])->ok(401);
        }
        $this->post('/api/session', ['email' => 'coordinator@marrowby.example', 'password' => 'telamon-demo'])->ok(429);
    }

    public function testABodyThatIsNoJsonIsAnsweredAsAProblem(): void
    {
        $this->send('POST', '/api/session', ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'application/json'], '{"email":')->ok(400);
    }

    public function testSomebodyWhoLeftCannotSignIn(): void
    {
        $this->db()->executeStatement("UPDATE staff SET active = 0 WHERE email = 'pim@marrowby.example'");
        $this->post('/api/session', ['email' => 'pim@marrowby.example', 'password' => 'telamon-demo'])->ok(401);
        $this->get('/api/session')->ok(401);
    }

    public function testPasswordsAreKeptHashed(): void
    {
        $hash = $this->db()->fetchOne("SELECT password_hash FROM staff WHERE email = 'coordinator@marrowby.example'");
        self::assertIsString($hash);
        self::assertStringNotContainsString('telamon-demo', $hash);
        self::assertTrue(password_verify('telamon-demo', $hash));
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Tests\Access;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\BrowserKit\Cookie;
use Symfony\Component\Messenger\Transport\Receiver\ReceiverInterface;
use Telamon\Access\PasswordLinks;
use Telamon\Access\SendPasswordLink;
use Telamon\Tests\Support\AppTestCase;

/** One's own password: changed, lost, chosen anew; and where else one is signed in. */
final class PasswordTest extends AppTestCase
{
    private const NEXT = 'harbour lamps at dusk';

    public function testChangingItEndsEveryOtherSessionAndKeepsThisOne(): void
    {
        $this->signIn();
        $elsewhere = $this->leaveSession();
        $this->signIn();
        self::assertSame('current', $this->call('PUT', '/api/session/password', ['current' => 'guess', 'next' => self::NEXT])->ok(422)->text('violations.0.path'));
        $this->call('PUT', '/api/session/password', ['current' => 'telamon-demo', 'next' => self::NEXT])->ok(204);
        $this->get('/api/session')->ok();
        $this->comeBack($elsewhere);
        $this->get('/api/session')->ok(401);
        $this->post('/api/session', ['email' => 'coordinator@marrowby.example', 'password' => 'telamon-demo'])->ok(401);
        $this->post('/api/session', ['email' => 'coordinator@marrowby.example', 'password' => self::NEXT])->ok();
    }

    public function testOtherSessionsEndWithoutAnotherPassword(): void
    {
        $this->signIn();
        $elsewhere = $this->leaveSession();
        $this->signIn();
        $this->call('DELETE', '/api/session/elsewhere', ['password' => 'guess'])->ok(422);
        $this->call('DELETE', '/api/session/elsewhere', ['password' => 'telamon-demo'])->ok(204);
        $this->get('/api/session')->ok();
        $this->comeBack($elsewhere);
        $this->get('/api/session')->ok(401);
        $this->signIn();
    }

    #[DataProvider('weak')]
    public function testAWeakOneIsRefused(string $password): void
    {
        $this->signIn();
        self::assertSame('next', $this->call('PUT', '/api/session/password', ['current' => 'telamon-demo', 'next' => $password])->ok(422)->text('violations.0.path'));
        $this->signIn();
    }

    /** @return iterable<string, array{string}> */
    public static function weak(): iterable
    {
        yield 'short' => ['pianos'];
        yield 'one sign' => ['aaaaaaaaaaaaaaaa'];
        yield 'the name' => ['Nessa Quarle1'];
        yield 'the address' => ['coordinator@marrowby.example'];
    }

    public function testGuessingTheOldOneIsSlowedDown(): void
    {
        $this->signIn();
        for ($i = 0; $i < 5; ++$i) {
            $this->call('PUT', '/api/session/password', ['current' => "guess $i", 'next' => self::NEXT])->ok(422);
        }
        $this->call('PUT', '/api/session/password', ['current' => 'telamon-demo', 'next' => self::NEXT])->ok(429);
    }

    public function testALostOneIsChosenAnewByALinkThatHoldsOnce(): void
    {
        $this->post('/api/public/password-links', ['email' => ' Pim@Marrowby.example '])->ok(204);
        $token = $this->mailedToken();
        self::assertSame('password', $this->call('PUT', '/api/public/password', ['token' => $token, 'password' => 'short'])->ok(422)->text('violations.0.path'));
        $this->call('PUT', '/api/public/password', ['token' => $token, 'password' => self::NEXT])->ok(204);
        $this->call('PUT', '/api/public/password', ['token' => $token, 'password' => 'another one for me'])->ok(410);
        $this->post('/api/session', ['email' => 'pim@marrowby.example', 'password' => self::NEXT])->ok();
        self::assertSame(0, $this->db()->fetchOne("SELECT COUNT(*) FROM message WHERE text LIKE '%token%'"), 'the link is kept nowhere');
    }

    public function testALinkIsGoodForAnHourAndCannotBeMade(): void
    {
        $this->post('/api/public/password-links', ['email' => 'pim@marrowby.example'])->ok(204);
        $token = $this->mailedToken();
        $this->call('PUT', '/api/public/password', ['token' => $token.'0', 'password' => self::NEXT])->ok(410);
        $this->clock->sleep(3601);
        $this->call('PUT', '/api/public/password', ['token' => $token, 'password' => self::NEXT])->ok(410);
    }

    public function testSomebodyNewIsInvitedByALinkThatIsGoodForAWeek(): void
    {
        $this->signIn();
        $added = $this->post('/api/setup/staff', ['name' => 'Una Merrow', 'email' => 'una@marrowby.example', 'role' => 'field', 'invite' => true])->ok(201);
        self::assertSame('', $added->text('password'), 'no password is shown');
        $token = $this->mailedToken();
        $this->clock->modify('+6 days');
        $this->call('PUT', '/api/public/password', ['token' => $token, 'password' => self::NEXT])->ok(204);
        $this->post('/api/session', ['email' => 'una@marrowby.example', 'password' => self::NEXT])->ok();
        $this->call('PUT', '/api/public/password', ['token' => $token, 'password' => self::NEXT])->ok(410);
    }

    public function testAnInvitationEndsAfterAWeekAndWithANewPassword(): void
    {
        $this->signIn();
        $id = $this->db()->fetchOne("SELECT id FROM staff WHERE initials = 'PT'");
        self::assertIsString($id);
        $this->post("/api/setup/staff/$id/invitation")->ok();
        $token = $this->mailedToken();
        $this->post("/api/setup/staff/$id/password")->ok();
        $this->call('PUT', '/api/public/password', ['token' => $token, 'password' => self::NEXT])->ok(410);
        $this->post("/api/setup/staff/{$this->owner()}/invitation")->ok(403);
    }

    private function owner(): string
    {
        $id = $this->db()->fetchOne("SELECT id FROM staff WHERE role = 'owner'");

        return \is_string($id) ? $id : self::fail('no owner');
    }

    public function testNoAnswerTellsWhoIsHere(): void
    {
        $known = $this->post('/api/public/password-links', ['email' => 'pim@marrowby.example'])->ok(204);
        $unknown = $this->post('/api/public/password-links', ['email' => 'nobody@marrowby.example'])->ok(204);
        self::assertSame($known->body, $unknown->body);
        $this->db()->executeStatement("UPDATE staff SET active = 0 WHERE email = 'pim@marrowby.example'");
        self::assertSame([], $this->mailed(), 'nobody here has either by now');
    }

    /** @return list<string> texts of the mails that the worker sent */
    private function mailed(): array
    {
        $outbox = self::getContainer()->get('messenger.transport.outbox');
        $links = self::getContainer()->get(PasswordLinks::class);
        self::assertInstanceOf(ReceiverInterface::class, $outbox);
        self::assertInstanceOf(PasswordLinks::class, $links);
        foreach ([...$outbox->get(), ...$outbox->get()] as $envelope) {
            $command = $envelope->getMessage();
            self::assertInstanceOf(SendPasswordLink::class, $command);
            $links->send($command);
            $outbox->ack($envelope);
        }
        $files = glob("{$this->data}/mail/*.eml") ?: [];

        return array_map(static fn (string $file): string => quoted_printable_decode((string) file_get_contents($file)), $files);
    }

    private function mailedToken(): string
    {
        self::assertSame(1, preg_match('/token=([\w:.-]+)/', implode("\n", $this->mailed()), $found));

        return $found[1];
    }

    /** @return list<Cookie> */
    private function leaveSession(): array
    {
        $cookies = $this->browser->getCookieJar()->all();
        $this->browser->getCookieJar()->clear();

        return array_values($cookies);
    }

    /** @param list<Cookie> $cookies */
    private function comeBack(array $cookies): void
    {
        $this->browser->getCookieJar()->clear();
        foreach ($cookies as $cookie) {
            $this->browser->getCookieJar()->set($cookie);
        }
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Tests\Messages;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpClient\MockHttpClient;
use Symfony\Component\HttpClient\Response\MockResponse;
use Symfony\Component\Mailer\Exception\TransportException as MailNotTaken;
use Symfony\Component\Notifier\Exception\TransportException as TextNotTaken;
use Telamon\Messages\ForGood;

/** What is tried again, and what is told at once. */
final class ForGoodTest extends TestCase
{
    #[TestWith([400, true])]
    #[TestWith([422, true])]
    #[TestWith([404, true])]
    #[TestWith([401, false])]
    #[TestWith([402, false])]
    #[TestWith([429, false])]
    #[TestWith([500, false])]
    #[TestWith([503, false])]
    public function testAGatewayForTexts(int $status, bool $forGood): void
    {
        $response = (new MockHttpClient(new MockResponse('', ['http_code' => $status])))->request('POST', 'https://texts.example/');
        self::assertSame($forGood, ForGood::is(new TextNotTaken('no', $response)));
    }

    public function testAGatewayThatCannotBeReachedIsTriedAgain(): void
    {
        $response = (new MockHttpClient(new MockResponse('', ['error' => 'no route'])))->request('POST', 'https://texts.example/');
        self::assertFalse(ForGood::is(new TextNotTaken('no', $response)));
    }

    #[TestWith([550, 'RCPT TO:<a@example.com>', true])]
    #[TestWith([554, '.', true])]
    #[TestWith([552, 'MAIL FROM:<a@example.com>', true])]
    #[TestWith([535, 'AUTH LOGIN', false])]
    #[TestWith([535, 'dXNlcm5hbWU=', false])]
    #[TestWith([554, 'EHLO here', false])]
    #[TestWith([451, 'RCPT TO:<a@example.com>', false])]
    #[TestWith([0, 'RCPT TO:<a@example.com>', false])]
    public function testAMailServer(int $code, string $last, bool $forGood): void
    {
        $error = new MailNotTaken('no', $code);
        $error->appendDebug("[2026-11-25T10:42:00] > EHLO here\r\n[2026-11-25T10:42:00] < 250 ok\r\n[2026-11-25T10:42:00] > $last\r\n[2026-11-25T10:42:00] < $code no\r\n");
        self::assertSame($forGood, ForGood::is($error));
    }

    public function testAMailServerThatGreetsWithANoIsTriedAgain(): void
    {
        $error = new MailNotTaken('no', 554);
        $error->appendDebug("[2026-11-25T10:42:00] < 554 not now\r\n");
        self::assertFalse(ForGood::is($error));
    }

    #[TestWith([550, true])]
    #[TestWith([0, false])]
    public function testTheStandIn(int $code, bool $forGood): void
    {
        self::assertSame($forGood, ForGood::is(new \RuntimeException('refused', $code)));
    }
}

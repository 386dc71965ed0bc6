<?php

declare(strict_types=1);

namespace Telamon\Tests\Notices;

use Symfony\Component\Process\Process;
use Telamon\Notices\SignedPost;
use Telamon\Tests\Browser\Support\Installation;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** Whoever is on call is told at once; a room posts to a chat of the business's own. */
final class OnCallTest extends AppTestCase
{
    use AsksRows;

    private const TO_PIM = "SELECT COUNT(*) FROM message WHERE template = 'notices' AND to_address = 'pim@marrowby.example'";

    private ?Process $chat = null;

    protected function setUp(): void
    {
        $_ENV['TELAMON_POST_PRIVATE'] = $_SERVER['TELAMON_POST_PRIVATE'] = '1';
        parent::setUp();
        $this->signIn();
    }

    protected function tearDown(): void
    {
        $_ENV['TELAMON_POST_PRIVATE'] = $_SERVER['TELAMON_POST_PRIVATE'] = '0';
        $this->chat?->stop(1);
        parent::tearDown();
    }

    /** @param array<string, mixed> $with */
    private function room(array $with): string
    {
        return $this->post('/api/notice-rooms', $with + ['name' => 'Emergencies', 'about' => ''])->ok(201)->text('id');
    }

    private function pim(): string
    {
        return $this->id("SELECT id FROM staff WHERE email = 'pim@marrowby.example'");
    }

    /** @return list<mixed> addresses that were written to */
    private function written(): array
    {
        return $this->db()->fetchFirstColumn("SELECT to_address FROM message WHERE template = 'notices'");
    }

    /** @return string address of a chat that answers so */
    private function chat(int $status): string
    {
        $folder = "{$this->data}/received";
        mkdir($folder);
        file_put_contents("$folder/status", (string) $status);
        $port = Installation::freePort();
        $this->chat = new Process([\PHP_BINARY, '-S', "127.0.0.1:$port", __DIR__.'/receiver.php'], null, ['RECEIVED' => $folder]);
        $this->chat->start();
        $this->chat->waitUntil(static fn (string $type, string $output): bool => str_contains($output, 'started'));

        return "http://127.0.0.1:$port/hooks/desk";
    }

    /** @return list<array{headers: array<string, string>, body: string}> */
    private function received(): array
    {
        /** @var list<array{headers: array<string, string>, body: string}> $all */
        $all = array_map(static fn (string $file): mixed => json_decode((string) file_get_contents($file), true), glob("{$this->data}/received/*.json") ?: []);

        return $all;
    }

    private function sweep(): void
    {
        $this->byClock('chat-posts');
    }

    public function testWhoeverIsOnCallIsToldAtOnceAndNotAgainAtNoon(): void
    {
        // The clock of the tests stands on a Wednesday at 10:42.
        $room = $this->room(['onCall' => [
            ['staff' => $this->pim(), 'days' => [3], 'from' => '08:00', 'until' => '11:00'],
            ['staff' => $this->id("SELECT id FROM staff WHERE email = 'coordinator@marrowby.example'"), 'days' => [3], 'from' => '08:00', 'until' => '11:00'],
        ]]);
        $this->post('/api/notices', ['room' => $room, 'words' => 'A string has snapped at Quarry Hall.'])->ok(201);
        self::assertSame(['pim@marrowby.example'], $this->written(), 'whoever wrote it knows');
        $this->clock->modify('+2 hours');
        $this->byClock('notice-mails');
        self::assertSame('1', $this->number(self::TO_PIM));
        $this->post('/api/notices', ['room' => $room, 'words' => 'And another.'])->ok(201);
        self::assertSame('1', $this->number(self::TO_PIM), 'after eleven nobody is on call');
    }

    public function testHoursThatAreNoneAreRefusedBesideThem(): void
    {
        foreach ([
            ['days' => [], 'field' => 'onCall.0.days'],
            ['from' => 'noon', 'field' => 'onCall.0.days'],
            ['staff' => '019f0000-0000-7000-8000-00000000000a', 'field' => 'onCall.0.staff'],
        ] as $wrong) {
            $refused = $this->post('/api/notice-rooms', ['name' => 'X', 'onCall' => [$wrong + ['staff' => $this->pim(), 'days' => [1], 'from' => '08:00', 'until' => '11:00']]]);
            self::assertSame([422, $wrong['field']], [$refused->status, $refused->text('violations.0.path')]);
        }
    }

    public function testANoticeIsPostedSignedAndOnce(): void
    {
        $room = $this->room(['postTo' => $this->chat(204)]);
        $this->post('/api/notices', ['room' => $room, 'words' => 'The long ramp is at Quarry Hall ☂.'])->ok(201);
        $this->sweep();
        $this->sweep();
        $received = $this->received();
        self::assertCount(1, $received);
        $posts = $this->get("/api/notice-rooms/$room/posts")->ok();
        self::assertSame(['sent', 'answered 204'], [$posts->text('items.0.state'), $posts->text('items.0.answer')]);
        $headers = array_change_key_case($received[0]['headers']);
        self::assertSame(
            SignedPost::headers($posts->text('secret'), $headers['webhook-id'], (int) $headers['webhook-timestamp'], $received[0]['body'])['webhook-signature'],
            $headers['webhook-signature'],
        );
        $body = json_decode($received[0]['body'], true);
        self::assertIsArray($body);
        self::assertSame('The long ramp is at Quarry Hall ☂.', $body['text']);
    }

    public function testTheSignatureIsTheOneOfTheSpecification(): void
    {
        // Standard Webhooks 1.0, its worked example; the values are from memory, and agree with the formula.
        self::assertSame(
            'v1,g0hM9SsE+OTPJTGt/tmIKtSyZlE3uFJELVlNIOLJ1OE=',
            SignedPost::headers('whsec_MfKQ9r8GKYqrTwjUPD8ILPZIo2LaLaSw', 'msg_p5jXN8AQM9LWM0D4loKWxJek', 1_614_265_330, '{"test": 2432232314}')['webhook-signature'],
        );
    }

    public function testWhatDoesNotGetThroughIsTriedAgainWithGrowingWaitsAndThenByHand(): void
    {
        $room = $this->room(['postTo' => $this->chat(503)]);
        $this->post('/api/notices', ['room' => $room, 'words' => 'Anybody?'])->ok(201);
        foreach ([0, 59, 2, 301, 1801, 7201, 43_201, 99_999] as $seconds) {
            $this->clock->modify("+$seconds seconds");
            $this->sweep();
        }
        $received = $this->received();
        self::assertCount(6, $received, 'at once, then after 1, 5 and 30 minutes, 2 and 12 hours; not a second early');
        self::assertCount(1, array_unique(array_map(static fn (array $one): string => array_change_key_case($one['headers'])['webhook-id'], $received)), 'the same one each time');
        $failed = $this->get("/api/notice-rooms/$room/posts")->ok();
        self::assertSame(['failed', 'answered 503', 6], [$failed->text('items.0.state'), $failed->text('items.0.answer'), $failed->number('items.0.tries')]);
        file_put_contents("{$this->data}/received/status", '200');
        $this->post("/api/notice-posts/{$failed->text('items.0.id')}/again")->ok();
        $this->sweep();
        self::assertSame('sent', $this->get("/api/notice-rooms/$room/posts")->ok()->text('items.0.state'));
    }

    public function testAnAddressInsideTheOwnNetworkIsNotPostedTo(): void
    {
        $room = $this->room(['postTo' => $this->chat(204)]);
        $this->post('/api/notices', ['room' => $room, 'words' => 'Hello'])->ok(201);
        $_ENV['TELAMON_POST_PRIVATE'] = $_SERVER['TELAMON_POST_PRIVATE'] = '0';
        self::ensureKernelShutdown();
        self::bootKernel();
        $this->sweep();
        self::assertSame([], $this->received());
        self::assertSame('waiting', $this->id('SELECT state FROM notice_post'));
    }

    public function testWhereARoomPostsToIsSaidByWhoeverSetsUp(): void
    {
        $room = $this->room(['postTo' => 'https://chat.example.com/hooks/desk']);
        $first = $this->get("/api/notice-rooms/$room/posts")->ok()->text('secret');
        $this->call('PUT', "/api/notice-rooms/$room", ['name' => 'Emergencies', 'postTo' => 'https://chat.example.com/hooks/other'])->ok();
        self::assertNotSame($first, $this->get("/api/notice-rooms/$room/posts")->ok()->text('secret'), 'another address, another secret');
        foreach (['ftp://chat.example.com/', 'https://', 'javascript:alert(1)'] as $address) {
            self::assertSame(422, $this->call('PUT', "/api/notice-rooms/$room", ['name' => 'Emergencies', 'postTo' => $address])->status);
        }
        $this->signIn('pim@marrowby.example');
        self::assertSame(403, $this->get("/api/notice-rooms/$room/posts")->status);
        self::assertNotContains('https://chat.example.com/hooks/other', $this->get('/api/notice-rooms')->ok()->column('items', 'postTo'));
    }
}

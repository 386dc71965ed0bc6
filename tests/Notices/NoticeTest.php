<?php

declare(strict_types=1);

namespace Telamon\Tests\Notices;

use Telamon\Tests\Support\AppTestCase;

/** Staff are told in the room that cares, and it is known who has seen it. */
final class NoticeTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    private function desk(): string
    {
        return $this->get('/api/notice-rooms')->ok()->text('items.0.id');
    }

    private function staff(string $email): string
    {
        $id = $this->db()->fetchOne('SELECT id FROM staff WHERE email = ?', [$email]);

        return \is_string($id) ? $id : self::fail('nobody');
    }

    public function testTheAnswerDecidesTheRoomAndThePlanShowsTheWords(): void
    {
        $room = $this->post('/api/notice-rooms', ['name' => 'Workshop', 'about' => 'repairs'])->ok(201);
        foreach (['repair' => 'workshop', 'tuning' => 'desk'] as $service => $key) {
            $this->post(
                '/api/rules',
                [
                    'name' => "Tell of a $service",
                    'enabled' => true,
                    'forms' => ['piano-inquiry'],
                    'if' => ['question' => 'service', 'op' => 'is', 'value' => $service],
                    'then' => [['kind' => 'room', 'room' => $key, 'text' => "{{name}} asks for a $service: {{matter}}"]],
                ],
            )
                ->ok(201);
        }
        $this->inquire()->ok(201);
        $plan = json_encode(
            $this->get("/api/submissions/{$this->lastSubmission()}")->ok()->at('plan.lines'),
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
        );
        self::assertStringContainsString('Tell the room Workshop: “', $plan);
        self::assertStringContainsString('Orla Fennick asks for a repair: Several keys stick.', $plan);
        self::assertStringNotContainsString('Tell the room Desk', $plan);
        $this->accept($this->lastSubmission())->ok();

        $notices = $this->get("/api/notices?room={$room->text('id')}")->ok();
        self::assertSame(['Orla Fennick asks for a repair: Several keys stick.'], $notices->column('items', 'words'));
        self::assertSame(['Tell of a repair', 'Orla Fennick'], [$notices->text('items.0.by'), $notices->text('items.0.client.label')]);
        self::assertSame([], $this->get("/api/notices?room={$this->desk()}")->ok()->rows('items'));
        // Taken back with the plan.
        $this->post("/api/submissions/{$this->lastSubmission()}/undo")->ok();
        self::assertSame([], $this->get("/api/notices?room={$room->text('id')}")->ok()->rows('items'));
    }

    public function testItIsKnownWhoHasSeenItAndWhoHasIt(): void
    {
        $notice = $this->post('/api/notices', ['room' => $this->desk(), 'words' => 'The long ramp is at Quarry Hall.'])->ok(201);
        self::assertSame([true, ['Nessa Quarle'], ''], [$notice->at('seen'), $notice->at('seenBy'), $notice->text('holder')]);
        $this->signIn('pim@marrowby.example');
        self::assertSame(1, $this->get('/api/notice-rooms')->ok()->number('items.0.unseen'));
        $seen = fn () => $this->call('POST', '/api/notices/seen', ['notices' => [$notice->text('id'), '00000000-0000-0000-0000-000000000000']])->ok(204);
        $seen();
        $seen();
        self::assertSame(0, $this->get('/api/notice-rooms')->ok()->number('items.0.unseen'));
        self::assertSame('Pim Tarrow', $this->post("/api/notices/{$notice->text('id')}/take", ['taken' => true])->ok()->text('holder'));
        self::assertSame('', $this->post("/api/notices/{$notice->text('id')}/take", ['taken' => false])->ok()->text('holder'));
        self::assertSame(422, $this->post('/api/notices', ['room' => $this->desk(), 'words' => '  '])->status);
        self::assertSame(422, $this->post('/api/notices', ['room' => $this->desk(), 'words' => str_repeat('x', 2001)])->status);
        self::assertSame(403, $this->post('/api/notice-rooms', ['name' => 'Mine'])->status);
    }

    public function testTheSameNoticeSentAgainIsOneAndNobodyTakesItFromSomebodyUnseen(): void
    {
        $write = fn (): string => $this->call('POST', '/api/notices', ['room' => $this->desk(), 'words' => 'The long ramp is back.'], ['HTTP_IDEMPOTENCY_KEY' => 'ramp'])
            ->ok(201)
            ->text('id');
        $id = $write();
        self::assertSame($id, $write());
        self::assertCount(1, array_filter($this->get('/api/notices')->ok()->rows('items'), static fn (array $one): bool => 'The long ramp is back.' === $one['words']));
        $this->post("/api/notices/$id/take", ['taken' => true])->ok();
        $this->signIn('pim@marrowby.example');
        $late = $this->post("/api/notices/$id/take", ['taken' => true]);
        self::assertSame([409, 'Nessa Quarle has it already.'], [$late->status, $late->text('detail')]);
        self::assertSame('Nessa Quarle', $this->get('/api/notices')->ok()->text('items.0.holder'));
    }

    public function testAClosedRoomIsForItsMembersAlone(): void
    {
        self::assertSame(422, $this->post('/api/notice-rooms', ['name' => 'Money', 'closed' => true])->status);
        $room = $this->post('/api/notice-rooms', ['name' => 'Money', 'closed' => true, 'members' => [$this->staff('coordinator@marrowby.example')]])->ok(201);
        $notice = $this->post('/api/notices', ['room' => $room->text('id'), 'words' => 'The rent is due.'])->ok(201);
        self::assertSame(422, $this->post('/api/notice-rooms', ['name' => 'money'])->status);
        $this->signIn('pim@marrowby.example');
        self::assertSame(['Desk'], $this->get('/api/notice-rooms')->ok()->column('items', 'name'));
        self::assertSame(404, $this->get("/api/notices?room={$room->text('id')}")->status);
        self::assertSame([], $this->get('/api/notices')->ok()->rows('items'));
        self::assertSame(404, $this->post("/api/notices/{$notice->text('id')}/take", ['taken' => true])->status);
        self::assertSame(404, $this->post('/api/notices', ['room' => $room->text('id'), 'words' => 'x'])->status);
        $this->call('POST', '/api/notices/seen', ['notices' => [$notice->text('id')]])->ok(204);
        self::assertSame(1, $this->countRows('notice_seen'), 'what one may not read, one has not seen');
    }

    public function testWhoHasNotSeenItGetsOneMail(): void
    {
        $this->post('/api/notices', ['room' => $this->desk(), 'words' => 'Strings for no. 31642 come on Thursday.'])->ok(201);
        $this->byClock('notice-mails');
        self::assertSame(0, $this->countRows('message'), 'not before an hour has gone by');
        $this->clock->modify('+2 hours');
        $this->byClock('notice-mails');
        $this->byClock('notice-mails');
        $to = $this->db()->fetchFirstColumn('SELECT to_address FROM message ORDER BY to_address');
        self::assertNotContains('coordinator@marrowby.example', $to);
        self::assertCount(\count($to), array_unique(array_map(static fn (mixed $one): string => \is_string($one) ? $one : '', $to)));
        self::assertNotSame([], $to);
        self::assertStringContainsString('Desk: Strings for no. 31642 come on Thursday.', (string) json_encode($this->db()->fetchOne('SELECT text FROM message LIMIT 1')));
    }
}

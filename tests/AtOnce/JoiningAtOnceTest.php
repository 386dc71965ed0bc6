<?php

declare(strict_types=1);

namespace Telamon\Tests\AtOnce;

use Telamon\Tests\Support\AsksRows;
use Telamon\Tests\Support\AtOnce;
use Telamon\Tests\Support\Books;

/** Signing an agreement and joining a waiting list, eight times in the same moment. */
final class JoiningAtOnceTest extends AtOnceTestCase
{
    use AsksRows;
    use Books;

    public function testAnAgreementIsSignedOnce(): void
    {
        $t = $this->agreement();
        $answers = $this->web->ask('POST', "/api/public/agreements/$t/sign", ['name' => 'Orla Fennick']);
        self::assertSame([200 => 1, 409 => AtOnce::MANY - 1], self::statuses($answers));
        self::assertSame('1', $this->number('SELECT COUNT(*) FROM signed'));
        $this->clock->sleep(120);
        $this->work();
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM message WHERE template = 'agreement-signed'"));
    }

    public function testAnAgreementThatIsWithdrawnMeanwhileIsNotSigned(): void
    {
        $t = $this->agreement();
        $answers = $this->web->ask(
            'POST',
            "/api/public/agreements/$t/sign",
            ['name' => 'Orla Fennick'],
            meanwhile: static fn (\PDO $db) => $db->exec("UPDATE agreement SET state = 'withdrawn'"),
        );
        self::assertSame([409 => AtOnce::MANY], self::statuses($answers));
        self::assertSame('0', $this->number('SELECT COUNT(*) FROM signed'));
        self::assertSame('withdrawn', $this->db()->fetchOne('SELECT state FROM agreement'));
    }

    public function testAWaitingListIsJoinedOnce(): void
    {
        $this->signIn();
        $types = $this->get('/api/diary/types')->ok()->rows('types');
        $tuning = array_values(array_filter($types, static fn (array $one): bool => 'tuning' === $one['slug']))[0] ?? [];
        self::assertIsArray($tuning['settings'] ?? null);
        self::assertIsString($tuning['id']);
        $sorcha = $this->id("SELECT id FROM staff WHERE initials = 'SV'");
        $this->call(
            'PUT',
            "/api/diary/types/{$tuning['id']}",
            [
                'version' => $tuning['version'],
                'name' => 'Tuning',
                'slug' => 'tuning',
                'live' => true,
                'settings' => ['seats' => 2, 'waitHours' => 6, 'place' => 'here', 'people' => [[$sorcha]]] + $tuning['settings'],
            ],
        )
            ->ok();
        $first = $this->begin('Wilf Ambry', 'wilf@example.com');
        $at = $this->starts($first, 'tuning')[4];
        $this->book($first, $at)->ok(201);
        $this->book($this->begin('Orla Fennick', 'orla@example.com'), $at)->ok(201);
        $t = $this->begin('Tamsin Oakhanger', 'tamsin@example.com');
        $answers = $this->web->ask('POST', '/api/public/booking/visit/waits', ['t' => $t, 'type' => 'tuning', 'at' => $at]);
        self::assertSame([201 => AtOnce::MANY], self::statuses($answers));
        self::assertCount(
            AtOnce::MANY,
            array_filter($answers, static fn (array $one): bool => str_contains($one['body'], '"number":1,') || str_contains($one['body'], '"number":1}')),
            'all are told of the same place in the queue',
        );
        self::assertSame('1', $this->number('SELECT COUNT(*) FROM waiting_place'));
    }

    /** @return string the token of one that is sent */
    private function agreement(): string
    {
        $this->signIn();
        $this->inquire(['service' => 'repair', 'place' => '7 Weir Cottages, Marrowby'])->ok(201);
        $this->work();
        $this->accept($this->lastSubmission())->ok();
        $this->work();

        return $this->call(
            'POST',
            '/api/agreements',
            ['project' => $this->id('SELECT id FROM project'), 'title' => 'On the work', 'text' => 'We agree on the work.'],
            ['HTTP_IDEMPOTENCY_KEY' => 'k1'],
        )
            ->ok(201)
            ->text('token');
    }
}

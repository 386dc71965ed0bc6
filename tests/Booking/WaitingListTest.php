<?php

declare(strict_types=1);

namespace Telamon\Tests\Booking;

use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;
use Telamon\Tests\Support\Books;

/** A group that is full: who waits moves up by themselves, one after the other, each for a time. */
final class WaitingListTest extends AppTestCase
{
    use AsksRows;
    use Books;

    private string $at = '';

    /** @var list<string> tokens of the two visits that fill the group */
    private array $visits = [];

    protected function setUp(): void
    {
        parent::setUp();
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
        foreach ([['Orla Fennick', 'orla@example.com'], ['Wilf Ambry', 'wilf@example.com']] as [$name, $email]) {
            $t = $this->begin($name, $email);
            $this->at = '' === $this->at ? $this->starts($t, 'tuning')[4] : $this->at;
            $this->visits[] = $this->book($t, $this->at)->ok(201)->text('token');
        }
        $this->work();
    }

    public function testWhoeverWaitsLongestIsOfferedThePlaceThatBecomesFreeAndSaysYes(): void
    {
        $tamsin = $this->begin('Tamsin Oakhanger', 'tamsin@example.com');
        self::assertNotContains($this->at, $this->starts($tamsin, 'tuning'));
        self::assertContains($this->at, $this->full($tamsin));
        self::assertSame(1, $this->wait($tamsin)->ok(201)->number('number'));
        self::assertSame(1, $this->wait($tamsin)->ok(201)->number('number'), 'pressed twice is one');
        $perrin = $this->begin('Perrin Holloway', 'perrin@example.com');
        self::assertSame(2, $this->wait($perrin)->ok(201)->number('number'));
        self::assertSame($this->at, $this->get("/api/public/booking/visit?t=$perrin")->ok()->text('waits.at'), 'a reload shows it');
        $this->sweep();
        self::assertSame([], $this->offered(), 'nothing is free yet');

        $this->post("/api/public/visits/{$this->visits[0]}/cancel")->ok();
        $quick = $this->begin('Jonty Wyreside', 'jonty@example.com');
        self::assertNotContains($this->at, $this->starts($quick, 'tuning'), 'the place is for those who wait, not for whoever comes by');
        $this->sweep();
        $this->sweep();
        $this->work();
        self::assertSame(['tamsin@example.com'], $this->offered(), 'one place is offered once, to one');
        self::assertSame(1, $this->get("/api/public/booking/visit?t=$perrin")->ok()->number('waits.number'));
        $booked = $this->get("/api/public/booking/visit?t=$tamsin")->ok();
        self::assertSame('offered', $booked->text('booked.state'), 'the link says what became of it');
        $this->post('/api/public/visits/'.$booked->text('booked.token').'/yes')->ok();
        $this->work();
        self::assertSame('booked', $this->db()->fetchOne("SELECT state FROM appointment WHERE email = 'tamsin@example.com'"));
        self::assertNotFalse(
            $this->db()->fetchOne("SELECT c.id FROM appointment a JOIN client c ON c.id = a.client_id WHERE a.email = 'tamsin@example.com'"),
            'and its plan takes it onto a client',
        );
        self::assertContains($this->at, $this->full($quick));
    }

    public function testAnOfferThatNobodyTakesGoesToTheNext(): void
    {
        $first = $this->begin('Tamsin Oakhanger', 'tamsin@example.com');
        $this->wait($first)->ok(201);
        $second = $this->begin('Perrin Holloway', 'perrin@example.com');
        $this->wait($second)->ok(201);
        $this->post("/api/public/visits/{$this->visits[0]}/cancel")->ok();
        $this->sweep();
        $this->work();
        $this->clock->sleep(5 * 3600);
        $this->sweep();
        self::assertSame(['tamsin@example.com'], $this->offered());
        $this->clock->sleep(2 * 3600);
        $this->sweep();
        $this->work();
        self::assertSame(['perrin@example.com', 'tamsin@example.com'], $this->offered());
        self::assertNull($this->get("/api/public/booking/visit?t=$first")->ok()->at('booked'), 'it is gone, and another time can be chosen');
        $this->wait($first)->ok(201);
    }

    public function testOneMayWaitNoLongerAndTheOfficeTakesOff(): void
    {
        $t = $this->begin('Tamsin Oakhanger', 'tamsin@example.com');
        $this->post('/api/public/booking/visit/waits', ['t' => $t, 'type' => 'tuning', 'at' => $this->starts($t, 'tuning')[0]])->ok(409);
        $this->wait($t)->ok(201);
        $this->post('/api/public/booking/visit/waits/leave', ['t' => $t])->ok(204);
        self::assertNull($this->get("/api/public/booking/visit?t=$t")->ok()->at('waits'));
        $this->wait($t)->ok(201);
        $appointment = $this->id("SELECT id FROM appointment WHERE email = 'orla@example.com'");
        $this->signIn();
        $sheet = $this->get("/api/appointments/$appointment")->ok();
        self::assertSame(['Tamsin Oakhanger'], $sheet->column('waiting', 'who'));
        $this->call('DELETE', '/api/diary/waiting/'.$sheet->text('waiting.0.id'))->ok(204);
        self::assertSame(0, $this->countRows('waiting_place'));
        $pages = $this->get('/api/diary/types')->ok()->rows('pages');
        $starts = array_column($pages, 'starts', 'slug')['visit'] ?? [];
        self::assertIsArray($starts);
        self::assertSame(1, $starts['waits'] ?? null, 'how far they came is known');
    }

    private function wait(string $t): Answer
    {
        return $this->post('/api/public/booking/visit/waits', ['t' => $t, 'type' => 'tuning', 'at' => $this->at]);
    }

    /** @return list<string> */
    private function full(string $t): array
    {
        $full = [];
        foreach ($this->get("/api/public/booking/visit/times?t=$t&type=tuning")->ok()->rows('days') as $day) {
            self::assertIsArray($day['full']);
            array_push($full, ...array_filter($day['full'], \is_string(...)));
        }

        return $full;
    }

    /** @return list<mixed> who was written to that a place is kept */
    private function offered(): array
    {
        return $this->db()->fetchFirstColumn("SELECT to_address FROM message WHERE template = 'offered' ORDER BY to_address");
    }

    private function sweep(): void
    {
        $this->byClock();
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Tests\AtOnce;

use Telamon\Http\SignedText;
use Telamon\Messages\SignedAddresses;
use Telamon\Tests\Support\AsksRows;
use Telamon\Tests\Support\AtOnce;
use Telamon\Tests\Support\Books;

/** What the public does, eight times in the same moment: all have looked before the first writes. */
final class PublicAtOnceTest extends AtOnceTestCase
{
    use AsksRows;
    use Books;

    public function testOneLinkBooksOnce(): void
    {
        $t = $this->begin();
        $at = $this->starts($t, 'tuning')[0];
        $answers = $this->web->ask('POST', '/api/public/booking/visit/bookings', ['t' => $t, 'type' => 'tuning', 'at' => $at]);
        self::assertSame([201 => AtOnce::MANY], self::statuses($answers), 'all are told of the same visit');
        self::assertSame('1', $this->number('SELECT COUNT(*) FROM appointment'));
        $this->later();
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM message WHERE template = 'booked'"));
    }

    public function testAVisitMovedEightTimesToOneTimeIsMovedOnce(): void
    {
        $token = $this->booked();
        $this->work();
        $other = $this->get("/api/public/visits/$token/times")->ok()->rows('days');
        $at = array_merge(...array_map(static fn (array $day): array => \is_array($day['starts']) ? $day['starts'] : [], $other))[7] ?? null;
        self::assertIsString($at);
        self::assertSame([200 => AtOnce::MANY], self::statuses($this->web->ask('POST', "/api/public/visits/$token/move", ['at' => $at])));
        $this->later();
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM message WHERE template = 'moved'"));
        self::assertSame(
            '1',
            $this->number("SELECT COUNT(*) FROM journal_entry e JOIN change_set c ON c.id = e.change_id WHERE c.words LIKE '% moved %' AND e.record_kind = 'appointment'"),
        );
    }

    public function testAVisitIsCancelledOnce(): void
    {
        $token = $this->booked();
        $this->later();
        self::assertSame([200 => AtOnce::MANY], self::statuses($this->web->ask('POST', "/api/public/visits/$token/cancel", [])));
        $this->later();
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM message WHERE template = 'cancelled'"));
        self::assertSame(
            '1',
            $this->number("SELECT COUNT(*) FROM journal_entry e JOIN change_set c ON c.id = e.change_id WHERE c.words LIKE '% cancelled %' AND e.record_kind = 'appointment'"),
        );
    }

    public function testTheLastPlaceGoesToOneOfEight(): void
    {
        $links = [];
        for ($i = 0; $i < 2; ++$i) {
            $links[] = $this->begin("Nobody $i", "nobody$i@example.com");
        }
        $at = $this->starts($links[0], 'tuning')[0];
        $with = $this->get("/api/public/booking/visit?t={$links[0]}")->ok()->text('types.0.people.0.id');
        // Two people, four presses each.
        $first = $this->web->ask('POST', '/api/public/booking/visit/bookings', ['t' => $links[0], 'type' => 'tuning', 'at' => $at, 'with' => $with], many: 4);
        $second = $this->post('/api/public/booking/visit/bookings', ['t' => $links[1], 'type' => 'tuning', 'at' => $at, 'with' => $with]);
        self::assertSame([[201 => 4], 409], [self::statuses($first), $second->status]);
    }

    public function testAFormThatIsSentEightTimesIsOneSubmission(): void
    {
        $body = ['answers' => ['name' => 'Orla Fennick', 'email' => 'orla@example.com', 'service' => 'repair', 'matter' => 'It buzzes.']];
        $answers = $this->web->ask('POST', '/api/public/forms/piano-inquiry/submissions', $body);
        self::assertSame([201 => AtOnce::MANY], self::statuses($answers));
        self::assertLessThanOrEqual(AtOnce::MANY, (int) $this->number('SELECT COUNT(*) FROM submission'));
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM submission WHERE state = 'waiting'"), 'the same answers again are set aside as such');
    }

    public function testAStopIsOneStop(): void
    {
        $signed = self::getContainer()->get(SignedText::class);
        self::assertInstanceOf(SignedText::class, $signed);
        $addresses = new SignedAddresses($signed, 'https://telamon.example');
        $this->inquire()->ok(201);
        $link = substr((string) parse_url($addresses->stopLink('orla.fennick@example.com'), \PHP_URL_PATH), \strlen('/stop/'));
        $this->web->ask('POST', "/stop/$link", []);
        self::assertSame('1', $this->number('SELECT COUNT(*) FROM stopped_address'));
    }

    /** The server's clock goes on while it is asked. */
    private function later(): void
    {
        $this->clock->sleep(120);
        $this->work();
    }

    private function booked(): string
    {
        $t = $this->begin();

        return $this->book($t, $this->starts($t, 'tuning')[0])->ok(201)->text('token');
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Tests\Booking;

use PHPUnit\Framework\Attributes\DataProvider;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** Nobody whom the business does not know fills the diary: beyond two open visits the next is confirmed by mail. */
final class OpenBookingsTest extends AppTestCase
{
    use AsksRows;

    private const APART = [
        ['name' => 'Orla Fennick', 'email' => 'orla@example.com', 'phone' => '020 914 3301', 'place' => '1 Mill Race, Saltfold'],
        ['name' => 'Wilf Ambry', 'email' => 'wilf@example.com', 'phone' => '020 914 3302', 'place' => '2 Mill Race, Saltfold'],
        ['name' => 'Ida Spindle', 'email' => 'ida@example.com', 'phone' => '020 914 3303', 'place' => '3 Mill Race, Saltfold'],
    ];

    /** @return iterable<string, array{list<array<string, string>>, string}> what the three have in common, and the state of the third visit */
    public static function threes(): iterable
    {
        yield 'nothing' => [[[], [], []], 'booked'];
        yield 'a mail address' => [[['email' => 'one@example.com'], ['email' => 'One@Example.com'], ['email' => 'one@example.com']], 'offered'];
        yield 'a number, spelled otherwise' => [[['phone' => '020 914 3327'], ['phone' => '+353 20 914-3327'], ['phone' => '(020) 9143327']], 'offered'];
        yield 'a network address' => [[['from' => '192.0.2.77'], ['from' => '192.0.2.77'], ['from' => '192.0.2.77']], 'offered'];
        yield 'a place' => [[['place' => '9 Ropewalk, Marrowby'], ['place' => '9 ropewalk, marrowby'], ['place' => '9 Ropewalk, Marrowby']], 'offered'];
    }

    /** @param list<array<string, string>> $common */
    #[DataProvider('threes')]
    public function testTheThirdOfOneIsConfirmedByMail(array $common, string $third): void
    {
        foreach (self::APART as $i => $person) {
            $this->visit($common[$i] + $person, $i);
        }
        self::assertSame(['booked', 'booked', $third], $this->db()->fetchFirstColumn('SELECT state FROM appointment ORDER BY rowid'));
    }

    public function testStrangersWhoAllComeToTheWorkshopHaveNoPlaceInCommon(): void
    {
        $this->signIn();
        $types = $this->get('/api/diary/types')->ok()->rows('types');
        $tuning = array_values(array_filter($types, static fn (array $one): bool => 'tuning' === $one['slug']))[0] ?? [];
        self::assertIsArray($tuning['settings'] ?? null);
        self::assertIsString($tuning['id']);
        $this->call(
            'PUT',
            "/api/diary/types/{$tuning['id']}",
            ['version' => $tuning['version'], 'name' => 'Tuning', 'slug' => 'tuning', 'live' => true, 'settings' => ['place' => 'here'] + $tuning['settings']],
        )
            ->ok();
        foreach (self::APART as $i => $person) {
            $this->visit($person, $i);
        }
        self::assertSame(['booked', 'booked', 'booked'], $this->db()->fetchFirstColumn('SELECT state FROM appointment ORDER BY rowid'));
    }

    public function testOneThatIsCancelledIsOpenNoMore(): void
    {
        $email = ['email' => 'one@example.com'];
        $this->visit($email + self::APART[0], 0);
        $token = $this->visit($email + self::APART[1], 1);
        $this->post("/api/public/visits/$token/cancel")->ok();
        $this->visit($email + self::APART[2], 2);
        self::assertSame(['booked', 'cancelled', 'booked'], $this->db()->fetchFirstColumn('SELECT state FROM appointment ORDER BY rowid'));
    }

    /**
     * @param array<string, string> $person
     *
     * @return string the token of the visit
     */
    private function visit(array $person, int $i): string
    {
        $this->browser->setServerParameter('REMOTE_ADDR', $person['from'] ?? "10.$i.0.7");
        unset($person['from']);
        $next = $this->call('POST', '/api/public/forms/book/submissions', ['booking' => 'visit', 'answers' => $person + ['piano' => "Ostermark upright $i"]])->ok(201)->map('next');
        self::assertIsString($next['to']);
        parse_str((string) parse_url($next['to'], \PHP_URL_QUERY), $query);
        self::assertIsString($t = $query['t']);
        $days = $this->get("/api/public/booking/visit/times?t=$t&type=tuning")->ok()->rows('days');
        $starts = array_merge(...array_map(static fn (array $day): array => \is_array($day['starts']) ? $day['starts'] : [], $days));

        return $this->post('/api/public/booking/visit/bookings', ['t' => $t, 'type' => 'tuning', 'at' => $starts[4 * $i], 'with' => ''])->ok(201)->text('token');
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Tests\Support;

/** Books a tuning on the demo's page as a client does: the form first, then a time. */
trait Books
{
    private function begin(string $name = 'Orla Fennick', string $email = 'orla.fennick@example.com'): string
    {
        // Each time written a little otherwise, as people do: the same answers again within a day are one inquiry.
        static $n = 0;
        ++$n;
        $next = $this->call(
            'POST',
            '/api/public/forms/book/submissions',
            ['booking' => 'visit', 'answers' => ['name' => $name, 'email' => $email, 'place' => '7 Weir Cottages, Marrowby', 'piano' => "Pell & Thrane upright $n"]],
        )
            ->ok(201)
            ->map('next');
        self::assertSame('booking', $next['kind']);
        self::assertIsString($next['to']);
        parse_str((string) parse_url($next['to'], \PHP_URL_QUERY), $query);
        self::assertIsString($query['t']);

        return $query['t'];
    }

    /** @return list<string> */
    private function starts(string $t, string $type, string $with = ''): array
    {
        $starts = [];
        foreach ($this->get("/api/public/booking/visit/times?t=$t&type=$type&with=$with")->ok()->rows('days') as $day) {
            self::assertIsArray($day['starts']);
            array_push($starts, ...array_filter($day['starts'], \is_string(...)));
        }

        return $starts;
    }

    private function book(string $t, string $at, string $with = ''): Answer
    {
        return $this->post('/api/public/booking/visit/bookings', ['t' => $t, 'type' => 'tuning', 'at' => $at, 'with' => $with]);
    }
}

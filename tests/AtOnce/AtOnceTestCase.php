<?php

declare(strict_types=1);

namespace Telamon\Tests\AtOnce;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AtOnce;

/** Asked eight times in the same moment over real connections: all have looked before the first writes. */
abstract class AtOnceTestCase extends AppTestCase
{
    protected AtOnce $web;

    protected function setUp(): void
    {
        parent::setUp();
        $this->web = new AtOnce($this->data, self::NOW);
    }

    protected function tearDown(): void
    {
        unset($this->web);
        parent::tearDown();
    }

    /**
     * @param list<array{status: int, body: string}> $answers
     *
     * @return array<int, int> how many were answered with each status, lowest first
     */
    protected static function statuses(array $answers): array
    {
        $counts = array_count_values(array_column($answers, 'status'));
        ksort($counts);

        return $counts;
    }
}

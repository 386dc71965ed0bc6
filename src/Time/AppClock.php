<?php

declare(strict_types=1);

namespace Telamon\Time;

use Psr\Clock\ClockInterface;
use Symfony\Component\Clock\Clock;
use Symfony\Component\DependencyInjection\Attribute\AsAlias;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** The time now, in UTC; shifted by so many seconds where somebody wants to see another hour of the day. */
#[AsAlias(ClockInterface::class)]
final readonly class AppClock implements ClockInterface
{
    public function __construct(
        #[Autowire(env: 'int:TELAMON_CLOCK_SHIFT')]
        public int $shift = 0,
    ) {
    }

    public function now(): \DateTimeImmutable
    {
        $now = \DateTimeImmutable::createFromInterface(Clock::get()->now())->setTimezone(new \DateTimeZone('UTC'));

        return 0 === $this->shift ? $now : $now->modify(\sprintf('%+d seconds', $this->shift));
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Queue;

use Symfony\Component\Messenger\Envelope;
use Symfony\Component\Messenger\Middleware\MiddlewareInterface;
use Symfony\Component\Messenger\Middleware\StackInterface;
use Symfony\Component\Messenger\Stamp\ReceivedStamp;

/** Ends a job of a worker that takes too long, so that none keeps the others waiting for ever; it is tried again, then told as failed. */
final class TimeLimit implements MiddlewareInterface
{
    private const SECONDS = 300;

    /** @param int $seconds for one job */
    public function __construct(private readonly int $seconds = self::SECONDS)
    {
    }

    /** For a job that goes on stretch by stretch: each has the whole time for itself. */
    public static function stretch(): void
    {
        $left = \function_exists('pcntl_alarm') ? pcntl_alarm(0) : 0;
        if ($left > 0) {
            pcntl_alarm(self::SECONDS);
        }
    }

    public function handle(Envelope $envelope, StackInterface $stack): Envelope
    {
        $isJob = null !== $envelope->last(ReceivedStamp::class) && \function_exists('pcntl_alarm');
        if (!$isJob) {
            return $stack->next()->handle($envelope, $stack);
        }
        $what = (new \ReflectionClass($envelope->getMessage()))->getShortName();

        return self::within($this->seconds, $what, static fn (): Envelope => $stack->next()->handle($envelope, $stack));
    }

    /**
     * @template T
     *
     * @param callable(): T $work
     *
     * @return T
     *
     * @throws JobTookTooLong
     */
    public static function within(int $seconds, string $what, callable $work): mixed
    {
        if (!\function_exists('pcntl_alarm')) {
            return $work();
        }
        pcntl_async_signals(true);
        $before = pcntl_signal_get_handler(\SIGALRM);
        pcntl_signal(\SIGALRM, static function () use ($what, $seconds): never {
            throw new JobTookTooLong("$what took longer than $seconds seconds and was ended.");
        });
        pcntl_alarm($seconds);
        try {
            return $work();
        } finally {
            pcntl_alarm(0);
            pcntl_signal(\SIGALRM, $before);
        }
    }
}

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
        pcntl_async_signals(true);
        $before = pcntl_signal_get_handler(\SIGALRM);
        $what = (new \ReflectionClass($envelope->getMessage()))->getShortName();
        pcntl_signal(\SIGALRM, function () use ($what): never {
            throw new JobTookTooLong("$what took longer than {$this->seconds} seconds and was ended.");
        });
        pcntl_alarm($this->seconds);
        try {
            return $stack->next()->handle($envelope, $stack);
        } finally {
            pcntl_alarm(0);
            pcntl_signal(\SIGALRM, $before);
        }
    }
}

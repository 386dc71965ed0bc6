<?php

declare(strict_types=1);

namespace Telamon\Queue;

use Doctrine\DBAL\Exception\RetryableException;
use Psr\Log\LoggerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Symfony\Contracts\Service\ResetInterface;

/** Looks at what is due by the clock and has it carried out, one by one, each with nothing remembered from the one before. */
final readonly class DueRun
{
    /** Seconds that one piece of work may take. */
    public const SECONDS = 60;

    /** @param iterable<DueWork> $works */
    public function __construct(
        #[AutowireIterator('telamon.due_work')]
        private iterable $works,
        private DueLease $lease,
        private DueTroubles $troubles,
        #[Autowire(service: 'services_resetter')]
        private ResetInterface $memory,
        private LoggerInterface $logger,
    ) {
    }

    /**
     * One look at everything.
     *
     * @param bool $outside what asks hosts outside, or all the rest
     * @param callable(): bool $goOn asked between two pieces of work
     *
     * @return int how many pieces were done
     */
    public function round(bool $outside, callable $goOn): int
    {
        $done = 0;
        foreach ($this->works as $work) {
            if ($outside === $work instanceof ReachesOut && $goOn() && $this->lease->take($work)) {
                try {
                    $done += $this->work($work, $goOn);
                } finally {
                    $this->lease->letGo($work);
                }
            }
        }

        return $done;
    }

    /** @return array<string, string> what each does, by its name */
    public function words(): array
    {
        $words = [];
        foreach ($this->works as $work) {
            $words[$work->name()] = $work->words();
        }

        return $words;
    }

    /** @param callable(): bool $goOn */
    private function work(DueWork $work, callable $goOn): int
    {
        $this->memory->reset();
        $due = $this->look($work);
        $waiting = $this->troubles->waiting($work);
        $done = 0;
        foreach ($due ?? [] as $key) {
            if (isset($waiting[$key])) {
                continue;
            }
            if (!$goOn() || !$this->lease->isOurs($work)) {
                break;
            }
            $done += $this->one($work, $key) ? 1 : 0;
        }
        if (null !== $due) {
            $this->troubles->forget($work, [...$due, '']);
        }

        return $done;
    }

    /** @return list<string>|null null where even that failed */
    private function look(DueWork $work): ?array
    {
        try {
            $due = TimeLimit::within(self::SECONDS, $work->name(), $work->due(...));
        } catch (\Throwable $error) {
            $this->fail($work, '', $error);

            return null;
        }
        $this->troubles->isOver($work->name(), '');

        return $due;
    }

    private function one(DueWork $work, string $key): bool
    {
        $host = $work instanceof ReachesOut ? $work->host($key) : '';
        if ($this->troubles->isLeftAlone($host)) {
            return false;
        }
        $this->memory->reset();
        try {
            TimeLimit::within(self::SECONDS, "{$work->name()} $key", static fn () => $work->carryOut($key));
        } catch (\Throwable $error) {
            $this->fail($work, $key, $error);
            if ($error instanceof HostDown && '' !== $host) {
                $this->troubles->hostFailed($host, $error->getMessage());
            }

            return false;
        }
        $this->troubles->isOver($work->name(), $key);
        if ('' !== $host) {
            $this->troubles->hostAnswers($host);
        }

        return true;
    }

    private function fail(DueWork $work, string $key, \Throwable $error): void
    {
        $this->memory->reset();
        if ($error instanceof RetryableException) {
            // The database was busy: the next look tries again.
            return;
        }
        $wait = $this->troubles->failed($work->name(), $key, $error->getMessage(), $error instanceof NeedsSomebody);
        if ($error instanceof HostDown) {
            // Where it is shown says so already.
            return;
        }
        $this->logger->error('Work by the clock could not be done.', ['work' => $work->name(), 'record' => $key, 'again in seconds' => $wait, 'exception' => $error]);
    }
}

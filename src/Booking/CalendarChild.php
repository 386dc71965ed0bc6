<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;
use Telamon\Refusal\InvalidInput;

/** Has calendars from outside read in a process of its own, with limits of time and memory: a file must not take down what reads it. */
final readonly class CalendarChild
{
    private const SECONDS = 20;
    private const MEMORY = '192M';

    public function __construct(private string $projectFolder)
    {
    }

    /**
     * @return array{list<array{\DateTimeImmutable, \DateTimeImmutable}>, list<string>} busy times in UTC; what was not read, in words
     *
     * @throws InvalidInput
     */
    public function busy(string $text, \DateTimeImmutable $from, \DateTimeImmutable $to, \DateTimeZone $zone): array
    {
        [$items, $left] = $this->ask('busy', $text, $from, $to, $zone);
        $busy = [];
        foreach ($items as $one) {
            if (\is_array($one) && \is_string($one[0] ?? null) && \is_string($one[1] ?? null)) {
                $busy[] = [self::time($one[0]), self::time($one[1])];
            }
        }

        return [$busy, $left];
    }

    /**
     * @return array{list<array{uid: string, title: string, place: string, notes: string, start: \DateTimeImmutable, end: \DateTimeImmutable, cancelled: bool}>, list<string>} events, the earliest first; what was not read, in words
     *
     * @throws InvalidInput
     */
    public function events(string $text, \DateTimeImmutable $from, \DateTimeImmutable $to, \DateTimeZone $zone): array
    {
        [$items, $left] = $this->ask('events', $text, $from, $to, $zone);
        $events = [];
        foreach ($items as $one) {
            if (\is_array($one)) {
                $said = static fn (string $key): string => \is_string($one[$key] ?? null) ? $one[$key] : '';
                $events[] = [
                    'uid' => $said('uid'),
                    'title' => $said('title'),
                    'place' => $said('place'),
                    'notes' => $said('notes'),
                    'start' => self::time($said('start')),
                    'end' => self::time($said('end')),
                    'cancelled' => true === ($one['cancelled'] ?? null),
                ];
            }
        }
        usort($events, static fn (array $a, array $b): int => [$a['start'], $a['uid']] <=> [$b['start'], $b['uid']]);

        return [$events, $left];
    }

    /**
     * @return array{array<array-key, mixed>, list<string>}
     *
     * @throws InvalidInput
     */
    private function ask(string $what, string $text, \DateTimeImmutable $from, \DateTimeImmutable $to, \DateTimeZone $zone): array
    {
        $asked = json_encode(
            ['what' => $what, 'text' => $text, 'from' => $from->format(\DATE_RFC3339), 'to' => $to->format(\DATE_RFC3339), 'zone' => $zone->getName()],
            \JSON_THROW_ON_ERROR | \JSON_INVALID_UTF8_SUBSTITUTE,
        );
        $child = new Process(
            [self::php(), '-d', 'memory_limit='.self::MEMORY, '-d', 'display_errors=0', "{$this->projectFolder}/bin/read-calendar"],
            null,
            null,
            $asked,
            self::SECONDS,
        );
        try {
            $child->run();
        } catch (ProcessTimedOutException) {
            throw new InvalidInput('file', 'That calendar takes too long to read. Export a shorter span of it.');
        }
        $answer = json_decode($child->getOutput(), true);
        if (!\is_array($answer)) {
            throw new InvalidInput('file', 'That calendar is too much to read at once. Export a shorter span of it.');
        }
        if (\is_string($answer['refused'] ?? null)) {
            throw new InvalidInput('file', $answer['refused']);
        }

        return [
            \is_array($answer['items'] ?? null) ? $answer['items'] : [],
            array_values(array_filter(\is_array($answer['left'] ?? null) ? $answer['left'] : [], \is_string(...))),
        ];
    }

    /** Under the web server this process is no command that could be run. */
    private static function php(): string
    {
        return 'cli' === \PHP_SAPI ? \PHP_BINARY : (is_executable(\PHP_BINDIR.'/php') ? \PHP_BINDIR.'/php' : 'php');
    }

    private static function time(string $text): \DateTimeImmutable
    {
        return (new \DateTimeImmutable($text))->setTimezone(new \DateTimeZone('UTC'));
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Queue;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/**
 * Something that is done by the clock: what is due is named, and carried out one by one. One process at a time does it;
 * one that fails is tried again with growing waits and keeps no other waiting.
 */
#[AutoconfigureTag('telamon.due_work')]
interface DueWork
{
    /** Its name, which stays: “reminders”. */
    public function name(): string;

    /** What it does, for people: “Reminders of visits”. */
    public function words(): string;

    /** Seconds between two looks at what is due. */
    public function every(): int;

    /**
     * What is due now, by keys that stay the same while it is due. All of it, or the first thousand: one that fails is
     * passed over until its next try, so it must not hide others.
     *
     * @return list<string>
     */
    public function due(): array;

    /**
     * Does one of them. It looks again under the write lock: it may have been done, or be due no longer.
     *
     * @throws \Throwable where it could not be done
     */
    public function carryOut(string $key): void;
}

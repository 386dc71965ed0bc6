<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

use Telamon\Core\Rules\Triggers\Received;

/** What has happened, and to what. */
final readonly class Happening
{
    /**
     * @param list<Trigger> $events
     * @param list<string> $what stages, names of tasks, fields
     * @param bool $byHand whether to something that somebody added by hand
     */
    public function __construct(private array $events = [new Received()], private array $what = [], private bool $byHand = false)
    {
    }

    /** @param string $what any where empty */
    public function is(Trigger $event, string $what, bool $alsoByHand): bool
    {
        return [] !== array_filter($this->events, static fn (Trigger $one): bool => $one instanceof $event)
            && ('' === $what || \in_array(mb_strtolower($what), array_map(mb_strtolower(...), $this->what), true)) && ($alsoByHand || !$this->byHand);
    }
}

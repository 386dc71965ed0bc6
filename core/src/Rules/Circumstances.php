<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

use Telamon\Core\Condition\Facts;
use Telamon\Core\Time\DayOrder;

/** What a rule may ask about: the answers, and what is known beside them. */
final readonly class Circumstances
{
    /** What can be asked about beside the answers; the sign keeps it apart from keys of questions. */
    public const BESIDE = ['@client', '@client_tags', '@channel', '@hours', '@files', '@campaign', '@finished', '@stage', '@stage_before', '@task', '@lead', '@project_tags'];

    /** Of those, what is known only where something happens to a project. */
    public const OF_PROJECT = ['@stage', '@stage_before', '@task', '@lead', '@project_tags'];

    /** Whether something of that name can be asked about: one of BESIDE, or a field of the client on file. */
    public static function canAsk(string $name): bool
    {
        return \in_array($name, self::BESIDE, true) || 1 === preg_match('/^@client\.(organisation|address|custom\.[a-z][a-z0-9_]{0,39})$/', $name);
    }

    /**
     * @param string $form the ending of its address
     * @param array<array-key, mixed> $answers by question key
     * @param array<string, string|list<string>> $beside by the names of BESIDE: client new, known or household;
     *                                                   hours inside or outside; finished yes or no
     * @param list<Trigger> $events what has happened
     * @param list<string> $what to what: stages, names of tasks, fields
     * @param bool $byHand whether to something that somebody added by hand
     */
    public function __construct(public string $form, private array $answers, private string $today, private DayOrder $order = DayOrder::Unstated, private array $beside = [], private array $events = [Trigger::Received], private array $what = [], private bool $byHand = false)
    {
    }

    /** @param array<string, string|list<string>> $beside over those known before */
    public function with(array $beside): self
    {
        return new self($this->form, $this->answers, $this->today, $this->order, $beside + $this->beside, $this->events, $this->what, $this->byHand);
    }

    /**
     * The same, where something else has happened.
     *
     * @param list<Trigger> $events
     * @param list<string> $what
     */
    public function after(array $events, array $what = [], bool $byHand = false): self
    {
        return new self($this->form, $this->answers, $this->today, $this->order, $this->beside, $events, $what, $byHand);
    }

    /** @param string $what any where empty */
    public function happened(Trigger $event, string $what, bool $alsoByHand): bool
    {
        return \in_array($event, $this->events, true) && ('' === $what || \in_array(mb_strtolower($what), array_map(mb_strtolower(...), $this->what), true)) && ($alsoByHand || !$this->byHand);
    }

    /** ISO 8601 day at the business. */
    public function today(): string
    {
        return $this->today;
    }

    public function facts(): Facts
    {
        return new Facts($this->beside + $this->answers, $this->today, $this->order);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

use Telamon\Core\Time\WorkingDays;

/** The due days that items say themselves. They change no start, no float and no chain. */
final readonly class DueDays
{
    /** @param array<string, int> $at place in the order, by full key */
    public function __construct(private WorkingDays $calendar, private Anchors $anchors, private Included $included, private array $at, private CriticalPath $path)
    {
    }

    /** @return \DateTimeImmutable|null null where it says none, or is counted from what there is not */
    public function of(ChecklistItem $item, Checklist $list): ?\DateTimeImmutable
    {
        $due = $item->due;
        $from = null === $due ? null : $this->from($due, $list);

        return null === $due || null === $from ? null : CountedDue::day($this->calendar, $from, $due);
    }

    private function from(Due $due, Checklist $list): ?\DateTimeImmutable
    {
        return match ($due->from) {
            DueFrom::Accepted => $this->anchors->accepted,
            DueFrom::Start => $this->anchors->start,
            DueFrom::ReadyBy => $this->anchors->readyBy,
            DueFrom::Appointment => $this->anchors->appointment,
            DueFrom::Item => $this->finished($this->included->meant($due->item, $list)),
        };
    }

    private function finished(?string $key): ?\DateTimeImmutable
    {
        return null === $key || !isset($this->at[$key]) ? null : $this->calendar->add($this->anchors->start, $this->path->earliestFinish[$this->at[$key]]);
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Core\Slots;

/** The appointments that somebody has, and what they leave free. */
final class Standing
{
    private const MINUTE = 60 * LocalClock::SECOND;

    /** @var list<array{int, int}> spans around each whose inside holds no start */
    public readonly array $spans;

    /** @var array<int, int> how many start, by local day; only where there is a limit */
    private array $begun = [];

    private readonly int $length;

    public function __construct(private readonly SlotPerson $person, private readonly SlotType $type, private readonly LocalClock $clock)
    {
        $this->length = $type->length * self::MINUTE;
        $spans = [];
        foreach ($person->appointments as $held) {
            $spans[] = $this->around($held);
            if (null !== $type->dayLimit) {
                $day = $clock->day($held->start);
                $this->begun[$day] = ($this->begun[$day] ?? 0) + 1;
            }
        }
        $this->spans = $spans;
    }

    /** @return list<int> local days on which as many start as may */
    public function fullDays(): array
    {
        return array_keys(array_filter($this->begun, fn (int $count): bool => $count >= ($this->type->dayLimit ?? \PHP_INT_MAX)));
    }

    /** @return iterable<int> starts that others have too, with seats left, and that no other appointment stands against */
    public function withSeatsLeft(): iterable
    {
        if (!$this->mayHaveSeatsLeft()) {
            return;
        }
        $taken = [];
        $count = [];
        foreach ($this->person->appointments as $held) {
            if ($held->end - $held->start === $this->length) {
                $taken[$held->start] = ($taken[$held->start] ?? 0) + $held->taken;
                $count[$held->start] = ($count[$held->start] ?? 0) + 1;
            }
        }
        foreach ($taken as $start => $seats) {
            $begun = null === $this->type->dayLimit ? 0 : $this->begun[$this->clock->day($start)] - $count[$start];
            if ($seats < $this->type->seats && $begun < ($this->type->dayLimit ?? \PHP_INT_MAX) && !$this->isBlocked($start)) {
                yield $start;
            }
        }
    }

    /** Most have none: then nothing has to be counted. */
    private function mayHaveSeatsLeft(): bool
    {
        foreach ($this->person->appointments as $held) {
            if ($held->taken < $this->type->seats && $held->end - $held->start === $this->length) {
                return true;
            }
        }

        return false;
    }

    private function isBlocked(int $start): bool
    {
        foreach ($this->person->appointments as $i => $held) {
            $isSame = $held->start === $start && $held->end === $start + $this->length;
            if (!$isSame && $this->spans[$i][0] < $start && $start < $this->spans[$i][1]) {
                return true;
            }
        }

        return false;
    }

    /**
     * The gap is at least the larger of what the earlier keeps after and the later keeps before.
     *
     * @return array{int, int}
     */
    private function around(Held $held): array
    {
        return [
            $held->start - (max($this->type->clearAfter, $held->clearBefore) + $held->roadFrom) * self::MINUTE - $this->length,
            $held->end + (max($held->clearAfter, $this->type->clearBefore) + $held->roadTo) * self::MINUTE,
        ];
    }
}

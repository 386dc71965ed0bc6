<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

use Telamon\Core\Text\Fold;

/** How long the road takes between areas, by the table that the business keeps. */
final class Roads
{
    /** @var array<string, string> area by its folded name, the longest first */
    private array $areas = [];

    /** @var array<string, string> area by address, as it was asked for */
    private array $known = [];

    /**
     * @param array<array-key, array<array-key, int>> $minutes from one area to another; where only one way is known, the other takes as long
     * @param int $unknown minutes between areas that the table does not hold
     */
    public function __construct(private readonly array $minutes, private readonly int $unknown)
    {
        foreach ($minutes as $from => $row) {
            foreach ([$from, ...array_keys($row)] as $area) {
                $this->areas[Fold::text((string) $area)] = (string) $area;
            }
        }
        uksort($this->areas, static fn (string $a, string $b): int => [\strlen($b), $a] <=> [\strlen($a), $b]);
    }

    /** @return string the area that an address names; empty for none of the table */
    public function area(string $address): string
    {
        if (isset($this->known[$address])) {
            return $this->known[$address];
        }
        $folded = ' '.Fold::text($address).' ';
        foreach ($this->areas as $name => $area) {
            if ('' !== $name && str_contains($folded, " $name ")) {
                return $this->known[$address] = $area;
            }
        }

        return $this->known[$address] = '';
    }

    /** @return int minutes; none between one address and itself, or where nobody goes anywhere */
    public function between(string $from, string $to): int
    {
        if ('' === trim($from) || '' === trim($to) || Fold::text($from) === Fold::text($to)) {
            return 0;
        }
        [$a, $b] = [$this->area($from), $this->area($to)];

        return $this->minutes[$a][$b] ?? $this->minutes[$b][$a] ?? $this->unknown;
    }
}

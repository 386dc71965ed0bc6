<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** Who could hold an appointment together, of those who are free at its time. */
final readonly class Crews
{
    private const MOST = 200;

    public function __construct(private TypeSettings $type)
    {
    }

    /**
     * @param list<string> $free ids of staff who are free at one time
     * @param string $asked id of whom somebody asks for; empty for anybody
     *
     * @return list<list<string>> crews, in the order of the settings; none where it cannot be held
     */
    public function of(array $free, string $asked = ''): array
    {
        $crews = match ($this->type->takes) {
            Takes::Any => array_map(static fn (string $id): array => [$id], array_values(array_intersect($this->type->people[0] ?? [], $free))),
            Takes::All => [] === array_diff($this->type->people[0] ?? [], $free) ? [$this->type->people[0] ?? []] : [],
            Takes::Each => $this->oneOfEach($free),
        };

        return '' === $asked ? $crews : array_values(array_filter($crews, static fn (array $crew): bool => \in_array($asked, $crew, true)));
    }

    /**
     * @param list<string> $free
     *
     * @return list<list<string>> nobody takes two roles
     */
    private function oneOfEach(array $free): array
    {
        $crews = [[]];
        foreach ($this->type->people as $role) {
            $longer = [];
            foreach ($crews as $crew) {
                foreach (array_diff(array_intersect($role, $free), $crew) as $id) {
                    if (\count($longer) < self::MOST) {
                        $longer[] = [...$crew, $id];
                    }
                }
            }
            $crews = $longer;
        }

        return $crews;
    }
}

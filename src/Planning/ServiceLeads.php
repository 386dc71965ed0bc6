<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Planning\OfferedService;

/** Who leads a service now, where several take turns: told by the projects that were opened, so that an undone one gives its turn back. */
final readonly class ServiceLeads
{
    public function __construct(private Connection $db, private Profile $business, private ClockInterface $clock)
    {
    }

    /**
     * @param array<string, OfferedService> $services by key
     *
     * @return array<string, OfferedService> the same, with the lead of those that go by turns
     */
    public function found(array $services): array
    {
        return array_map(fn (OfferedService $service): OfferedService => [] === $service->among ? $service : $this->next($service), $services);
    }

    private function next(OfferedService $service): OfferedService
    {
        $away = $this->away();
        $here = array_values(array_filter($service->among, static fn (StaffMember $one): bool => !isset($away[$one->id])));
        // Where all are away, the turn goes on as if they were not.
        $among = [] === $here ? $service->among : $here;
        $had = $service->fewest
            ? $this->db->fetchAllKeyValue('SELECT lead_id, COUNT(*) FROM project WHERE closed_at IS NULL GROUP BY lead_id')
            : $this->db->fetchAllKeyValue('SELECT lead_id, MAX(opened_at || id) FROM project WHERE service = ? GROUP BY lead_id', [$service->key]);
        $least = $among[0];
        foreach ($among as $one) {
            // Of two with as many, and of those who had none yet, the first counts.
            if (($had[$one->id] ?? '') < ($had[$least->id] ?? '')) {
                $least = $one;
            }
        }
        $open = $had[$least->id] ?? 0;
        $why = $service->fewest
            ? "{$service->name} goes to whoever leads fewest: {$least->firstName()} leads ".(\is_scalar($open) ? (string) $open : '0')
            : "{$service->name} goes by turns, and it is {$least->firstName()}’s";
        $gone = array_diff_key(array_column($service->among, 'name', 'id'), array_column($here, 'name', 'id'));

        return $service->ledBy($least, [] === $gone ? $why : "$why; ".implode(' and ', $gone).(1 === \count($gone) ? ' is away' : ' are away'));
    }

    /** @return array<string, int> by id of those who are away today */
    private function away(): array
    {
        $today = $this->clock->now()->setTimezone($this->business->zone())->format('Y-m-d');

        return array_flip(array_map(static fn (mixed $id): string => \is_string($id) ? $id : '', $this->db->fetchFirstColumn('SELECT staff_id FROM absence WHERE first <= ? AND last >= ?', [$today, $today])));
    }
}

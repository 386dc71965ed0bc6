<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Telamon\Business\Absences;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Planning\OfferedService;
use Telamon\Projects\LeadsOfProjects;

/** Who leads a service now, where several take turns: told by the projects that were opened, so that an undone one gives its turn back. */
final readonly class ServiceLeads
{
    public function __construct(private LeadsOfProjects $projects, private Absences $absences)
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
        $away = $this->absences->today();
        $here = array_values(array_filter($service->among, static fn (StaffMember $one): bool => !isset($away[$one->id])));
        // Where all are away, the turn goes on as if they were not.
        $among = [] === $here ? $service->among : $here;
        $had = $service->fewest ? $this->projects->open() : $this->projects->newest($service->key);
        $least = $among[0];
        foreach ($among as $one) {
            // Of two with as many, and of those who had none yet, the first counts.
            if (($had[$one->id] ?? '') < ($had[$least->id] ?? '')) {
                $least = $one;
            }
        }
        $why = $service->fewest
            ? "{$service->name} goes to whoever leads fewest: {$least->firstName()} leads ".($had[$least->id] ?? 0)
            : "{$service->name} goes by turns, and it is {$least->firstName()}’s";
        $gone = array_diff_key(array_column($service->among, 'name', 'id'), array_column($here, 'name', 'id'));

        return $service->ledBy($least, [] === $gone ? $why : "$why; ".implode(' and ', $gone).(1 === \count($gone) ? ' is away' : ' are away'));
    }
}

<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\ChecklistTemplate;
use Telamon\Business\Profile;
use Telamon\Business\Service;
use Telamon\Journal\JournalEntry;
use Telamon\Rules\RuleView;

/** Shows checklists, what brings them, and how they were. */
final readonly class ListView
{
    public function __construct(private EntityManagerInterface $em, private Connection $db, private Takeover $takeover, private Profile $business, private RuleView $rules)
    {
    }

    /** @return array<string, mixed> as ChecklistList in the contract */
    public function all(): array
    {
        return [
            'items' => array_map(
                $this->shown($this->takeover->counts()),
                $this->em->getRepository(ChecklistTemplate::class)->findBy([], ['isBase' => 'DESC', 'retired' => 'ASC', 'name' => 'ASC']),
            ),
            'offers' => $this->rules->offers(),
            'samples' => $this->samples(),
        ];
    }

    /** @return array<string, mixed> as KeptChecklist in the contract */
    public function one(ChecklistTemplate $kept): array
    {
        return $this->shown($this->takeover->counts())($kept);
    }

    /** @return list<array{version: int, at: string, by: string, name: string, items: int, list: array<string, mixed>}> the newest first, as ChecklistVersion in the contract */
    public function versions(ChecklistTemplate $kept): array
    {
        $was = ['name' => $kept->name, 'purpose' => $kept->purpose, 'joinsAfter' => $kept->joinsAfter, 'items' => $kept->items];
        $versions = [];
        $number = $kept->version;
        // Back from today: before each change, it was what the entry says.
        foreach ($this->em->getRepository(JournalEntry::class)->findBy(['recordId' => $kept->id], ['id' => 'DESC'], 200) as $entry) {
            if ([] !== array_intersect_key($entry->after, $was)) {
                $items = \is_array($was['items']) ? $was['items'] : [];
                $versions[] = [
                    'version' => max(1, $number),
                    'at' => $entry->change->at->setTimezone($this->business->zone())->format(\DATE_RFC3339),
                    'by' => $entry->change->by(),
                    'name' => \is_string($was['name']) ? $was['name'] : '',
                    'items' => \count($items),
                    'list' => ['key' => $kept->key] + $was,
                ];
                $was = array_intersect_key($entry->before, $was) + $was;
            }
            --$number;
        }

        return $versions;
    }

    /**
     * @param array<string, array{open: int, behind: int}> $counts
     *
     * @return \Closure(ChecklistTemplate): array<string, mixed>
     */
    private function shown(array $counts): \Closure
    {
        $services = [];
        foreach ($this->em->getRepository(Service::class)->findBy(['retired' => false], ['name' => 'ASC']) as $service) {
            null === $service->addOn ?: $services[$service->addOn->id][] = ['value' => $service->key, 'label' => $service->name];
        }
        $rules = [];
        foreach ($this->db->fetchAllAssociative(
            "SELECT r.id, r.name, json_extract(a.value, '$.checklist') AS list FROM handling_rule r, json_each(r.definition, '$.then') a WHERE NOT r.retired AND json_extract(a.value, '$.kind') = 'checklist'",
        ) as $row) {
            $rules[\is_string($row['list']) ? $row['list'] : ''][] = ['value' => \is_string($row['id']) ? $row['id'] : '', 'label' => \is_string($row['name']) ? $row['name'] : ''];
        }

        return static fn (ChecklistTemplate $kept): array => $kept->toChecklist()->toArray() + [
            'id' => $kept->id, 'version' => $kept->version, 'isBase' => $kept->isBase, 'retired' => $kept->retired,
            'projects' => $counts[$kept->key]['open'] ?? 0, 'behind' => $counts[$kept->key]['behind'] ?? 0,
            'services' => $services[$kept->id] ?? [], 'rules' => $rules[$kept->id] ?? [],
        ];
    }

    /** @return list<array{value: string, label: string}> arrivals whose answers can be tried */
    private function samples(): array
    {
        $samples = [];
        foreach ($this->db->fetchAllAssociative('SELECT id, number, name FROM submission WHERE continue_by IS NULL ORDER BY received_at DESC, id DESC LIMIT 30') as $row) {
            [$number, $name] = [\is_string($row['number']) ? $row['number'] : '', \is_string($row['name']) ? $row['name'] : ''];
            $samples[] = ['value' => \is_string($row['id']) ? $row['id'] : '', 'label' => trim("$name, $number", ', ')];
        }

        return $samples;
    }
}

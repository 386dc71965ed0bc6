<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\AsAlias;
use Telamon\Business\Profile;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Clients\ContactPoint;
use Telamon\Core\Matching\Directory;
use Telamon\Core\Matching\Judge;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Matching\Person;
use Telamon\Core\Matching\ShortForms;

/** The clients on file, for the core's matching. */
#[AsAlias(Directory::class)]
final readonly class ClientDirectory implements Directory
{
    public function __construct(
        private EntityManagerInterface $em,
        private Connection $db,
        private MatchKeys $keys,
        private PeopleOnFile $people,
        private MatchSettings $settings,
        private ShortForms $forms,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    public function people(array $keys): array
    {
        return $this->people->some($this->keys->find($keys));
    }

    public function person(string $id): ?Person
    {
        return $this->people->some([$id])[$id] ?? null;
    }

    public function judge(): Judge
    {
        return new Judge($this->forms, new CountedOnFile($this->db), $this->settings->weights(), $this->settings->thresholds());
    }

    public function clients(array $ids): array
    {
        $clients = [];
        foreach ($ids as $id) {
            $client = $this->em->find(Client::class, $id);
            if (null !== $client) {
                $clients[$id] = $this->known($client);
            }
        }

        return $clients;
    }

    /** @return array<string, string> */
    private static function fields(Client $client): array
    {
        $fields = ['organisation' => $client->organisation, 'tags' => implode("\n", $client->tags)];
        foreach ($client->custom as $key => $value) {
            $fields["custom.$key"] = $value;
        }

        return $fields;
    }

    /**
     * @return array{list<array{id: string, number: string, title: string, lead: string, opened: string}>, list<array{id: string, number: string, title: string, lead: string, opened: string, service: string}>}
     *                                                                                                                                                                                                            those opened of late with tasks to do, three at most; and all that are not closed; the newest first
     */
    private function openProjects(Client $client): array
    {
        $since = $this->clock->now()->modify("-{$this->business->business()->againDays} days")->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
        $late = $all = [];
        foreach ($this->db->fetchAllAssociative(
            'SELECT p.id, p.number, p.title, p.lead_id, p.opened_at, p.service, EXISTS (SELECT 1 FROM task t WHERE t.project_id = p.id AND t.finished_at IS NULL) AS busy FROM project p WHERE p.client_id = ? AND p.closed_at IS NULL ORDER BY p.opened_at DESC, p.id DESC LIMIT 20',
            [$client->id],
        ) as $row) {
            $text = static fn (string $name): string => \is_string($row[$name] ?? null) ? $row[$name] : '';
            $project = ['id' => $text('id'), 'number' => $text('number'), 'title' => $text('title'), 'lead' => $text('lead_id'), 'opened' => substr($text('opened_at'), 0, 10)];
            $all[] = $project + ['service' => $text('service')];
            if ($text('opened_at') >= $since && 1 === (int) (is_numeric($row['busy']) ? $row['busy'] : 0) && \count($late) < 3) {
                $late[] = $project;
            }
        }

        return [$late, $all];
    }

    private function known(Client $client): KnownClient
    {
        $values = static fn (ContactKind $kind): array => array_values(array_map(
            static fn (ContactPoint $point): string => $point->value,
            $client->contactPoints->filter(static fn (ContactPoint $point): bool => $point->kind === $kind)->toArray(),
        ));
        $assets = array_map(
            static fn (Asset $asset): array => [
                'id' => $asset->id,
                'description' => $asset->description,
                'serial' => $asset->serialNumber,
                'make' => $asset->make,
                'model' => $asset->model,
                'place' => $asset->place,
            ],
            $this->em->getRepository(Asset::class)->findBy(['client' => $client], ['id' => 'ASC'], 50),
        );

        [$late, $all] = $this->openProjects($client);

        return new KnownClient(
            $client->id, $client->name(), (int) $client->since->format('Y'), $values(ContactKind::Email), $values(ContactKind::Phone),
            $client->address, $assets, self::fields($client),
            $client->givenName, $client->familyName, $late, $client->otherAddresses, $all,
        );
    }
}

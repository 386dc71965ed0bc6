<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Intl\Languages;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\Cache\ItemInterface;
use Telamon\Business\OwnFields;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Clients\ContactPoint;
use Telamon\Core\Matching\Field;
use Telamon\Core\Matching\FieldWords;
use Telamon\Core\Matching\Judge;
use Telamon\Core\Matching\Judgement;
use Telamon\Core\Matching\Level;
use Telamon\Core\Matching\ShortForms;
use Telamon\Projects\Project;

/** The pairs that may be one person, to look at: computed once for as long as no client changes. */
final readonly class DuplicateList
{
    private const MOST = 200;

    public function __construct(
        private Duplicates $duplicates,
        private PeopleOnFile $people,
        private MatchSettings $settings,
        private ShortForms $forms,
        private EntityManagerInterface $em,
        private Connection $db,
        private Profile $business,
        private CacheInterface $cache,
        private OwnFields $ownFields,
    ) {
    }

    /** @return array{items: list<array<string, mixed>>, total: int} as DuplicatePage in the contract */
    public function page(): array
    {
        $state = json_encode(
            $this->db->fetchNumeric(
                'SELECT (SELECT COUNT(*) FROM client), (SELECT SUM(version) FROM client), (SELECT COUNT(*) FROM contact_point), (SELECT COUNT(*) FROM told_apart), (SELECT same_from || perhaps_from || match_weights FROM business LIMIT 1)',
            ),
            \JSON_THROW_ON_ERROR,
        );
        /** @var array{total: int, pairs: list<array{string, string, float}>} $found */
        $found = $this->cache->get('duplicates-'.hash('xxh128', $state), function (ItemInterface $item): array {
            $item->expiresAfter(86_400);
            $pairs = $this->duplicates->pairs();

            return [
                'total' => \count($pairs),
                'pairs' => array_map(static fn (array $pair): array => [$pair[0], $pair[1], $pair[2]->probability], \array_slice($pairs, 0, self::MOST)),
            ];
        });
        $judge = new Judge($this->forms, new CountedOnFile($this->db, 1), $this->settings->weights(), $this->settings->thresholds());
        $people = $this->people->some(array_values(array_unique([...array_column($found['pairs'], 0), ...array_column($found['pairs'], 1)])));
        $items = [];
        foreach ($found['pairs'] as [$a, $b, $probability]) {
            $pair = [$this->em->find(Client::class, $a), $this->em->find(Client::class, $b)];
            if (isset($pair[0], $pair[1], $people[$a], $people[$b])) {
                $items[] = $this->item($pair[0], $pair[1], $probability, $judge->judge($people[$a], $people[$b]));
            }
        }

        return ['items' => $items, 'total' => $found['total']];
    }

    /** @return array<string, mixed> as DuplicatePair in the contract */
    private function item(Client $one, Client $other, float $probability, Judgement $judgement): array
    {
        $fields = [];
        foreach ($this->shown($one, $other) as [$key, $words, $here, $there, $parts]) {
            if ('' === $here && '' === $there) {
                continue;
            }
            $weight = array_sum(array_map(static fn (Field $part): float => $judgement->weights[$part->value] ?? 0.0, $parts));
            $level = $judgement->levels[$parts[0]->value] ?? Level::Missing;
            foreach ($parts as $part) {
                $own = $judgement->levels[$part->value] ?? Level::Missing;
                $level = Level::Same === $level && !\in_array($own, [Level::Missing, Level::Town], true) ? $own : $level;
            }
            $fields[] = [
                'key' => $key,
                'field' => $words,
                'here' => $here,
                'there' => $there,
                'same' => $here === $there || \in_array($level, [Level::Same, Level::Shared], true),
                'verdict' => '' === $here || '' === $there ? 'only one has it' : FieldWords::level($level),
                'weight' => round($weight, 1),
            ];
        }

        if ('' !== $one->language.$other->language) {
            $fields[] = self::beside('language', 'Language', self::language($one), self::language($other));
        }
        foreach ($this->ownFields->byName() as $own) {
            [$here, $there] = [$one->custom[$own->key] ?? '', $other->custom[$own->key] ?? ''];
            if ('client' === $own->record && '' !== $here.$there) {
                $fields[] = self::beside("custom.{$own->key}", $own->label, $here, $there);
            }
        }

        return [
            'probability' => round($probability, 4),
            'percent' => FieldWords::percent($probability),
            'one' => $this->brief($one),
            'other' => $this->brief($other),
            'fields' => $fields,
        ];
    }

    /**
     * A field by which nobody is told apart.
     *
     * @return array<string, mixed>
     */
    private static function beside(string $key, string $words, string $here, string $there): array
    {
        return ['key' => $key, 'field' => $words, 'here' => $here, 'there' => $there, 'same' => $here === $there, 'verdict' => match (true) {
            $here === $there => 'same',
            '' === $here || '' === $there => 'only one has it',
            default => 'differs',
        }, 'weight' => 0.0];
    }

    private static function language(Client $client): string
    {
        return '' === $client->language ? '' : Languages::getName($client->language, 'en');
    }

    /** @return list<array{string, string, string, string, non-empty-list<Field>}> */
    private function shown(Client $one, Client $other): array
    {
        $phones = $this->business->phoneReader();
        $points = static fn (Client $client, ContactKind $kind): string => implode(', ', array_map(
            static fn (ContactPoint $point): string => ContactKind::Phone === $kind ? $phones->format($point->value) : $point->value,
            array_values($client->contactPoints->filter(static fn (ContactPoint $point): bool => $point->kind === $kind)->toArray()),
        ));

        return [
            ['name', 'Name', $one->name(), $other->name(), [Field::Given, Field::Family, Field::Order]],
            ['organisation', 'Organisation', $one->organisation, $other->organisation, [Field::Organisation]],
            ['email', 'Email', $points($one, ContactKind::Email), $points($other, ContactKind::Email), [Field::Email]],
            ['phone', 'Phone', $points($one, ContactKind::Phone), $points($other, ContactKind::Phone), [Field::Phone]],
            ['address', 'Address', $one->address, $other->address, [Field::Address, Field::Area]],
        ];
    }

    /** @return array{id: string, name: string, since: string, projects: int} */
    private function brief(Client $client): array
    {
        return [
            'id' => $client->id,
            'name' => $client->name(),
            'since' => $client->since->format('Y-m-d'),
            'projects' => $this->em->getRepository(Project::class)->count(['client' => $client]),
        ];
    }
}

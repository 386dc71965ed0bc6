<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\Client;
use Telamon\Projects\Project;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Rules\NameInRules;
use Telamon\Staff\Staff;

/** Tags renamed and removed wherever they stand: on clients, on projects and in rules, as one change. */
final readonly class TagChanges
{
    /** Each is journaled, so that one undo brings all back. */
    private const MOST = 5000;

    public function __construct(private EntityManagerInterface $em, private Connection $db, private SetupActs $acts, private NameInRules $rules)
    {
    }

    /** @return list<array{tag: string, clients: int, projects: int}> every tag there is, by the alphabet */
    public function all(): array
    {
        $clients = $this->db->fetchAllKeyValue('SELECT tag, COUNT(*) FROM client_tag GROUP BY tag');
        $projects = $this->db->fetchAllKeyValue("SELECT j.value, COUNT(*) FROM project p, json_each(p.tags) j WHERE p.tags <> '[]' GROUP BY j.value");
        $tags = array_map(strval(...), array_keys($clients + $projects));
        sort($tags, \SORT_NATURAL | \SORT_FLAG_CASE);

        return array_map(static fn (string $tag): array => ['tag' => $tag, 'clients' => self::whole($clients[$tag] ?? 0), 'projects' => self::whole($projects[$tag] ?? 0)], $tags);
    }

    /** @throws Refusal */
    public function rename(Edit $edit, Staff $staff): void
    {
        $tag = $edit->text('tag', 60) ?? '';
        $to = $edit->text('to', 60) ?? '';
        if ('' === $to) {
            throw new InvalidInput('to', 'Write what it is to be called.');
        }
        $this->replace($tag, $to, "renamed the tag $tag to $to", $staff);
    }

    /** @throws Refusal */
    public function remove(string $tag, Staff $staff): void
    {
        $giving = $this->rules->givingTag($tag);
        if ([] !== $giving) {
            throw new InvalidInput('tag', 'The rule “'.$giving[0].'” gives it. Change the rule first.');
        }
        $this->replace($tag, null, "removed the tag $tag", $staff);
    }

    private function replace(string $tag, ?string $to, string $words, Staff $staff): void
    {
        $this->acts->carryOut($words, $staff, function () use ($tag, $to): void {
            $clients = $this->em->getRepository(Client::class)->findBy(['id' => $this->db->fetchFirstColumn('SELECT client_id FROM client_tag WHERE tag = ? LIMIT '.(self::MOST + 1), [$tag])]);
            $projects = $this->em->getRepository(Project::class)->findBy(['id' => $this->db->fetchFirstColumn('SELECT p.id FROM project p, json_each(p.tags) j WHERE j.value = ? LIMIT '.(self::MOST + 1), [$tag])]);
            if ([] === $clients && [] === $projects) {
                throw new InvalidInput('tag', 'Nobody and nothing has this tag any more.');
            }
            if (\count($clients) + \count($projects) > self::MOST) {
                throw new InvalidInput('tag', 'More than '.number_format(self::MOST).' have it: too many to change at once.');
            }
            foreach ([...$clients, ...$projects] as $record) {
                // Where both stood, one stays.
                $record->retag(array_values(array_unique(array_filter(array_map(static fn (string $one): ?string => $one === $tag ? $to : $one, $record->tags), static fn (?string $one): bool => null !== $one))));
            }
            null === $to ?: $this->rules->renameTag($tag, $to);
        });
    }

    private static function whole(mixed $number): int
    {
        return is_numeric($number) ? (int) $number : 0;
    }
}

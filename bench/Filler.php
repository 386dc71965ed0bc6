<?php

declare(strict_types=1);

namespace Telamon\Bench;

use Doctrine\DBAL\Configuration;
use Doctrine\DBAL\DriverManager;
use Symfony\Component\Uid\Uuid;
use Telamon\Clients\AssetSearch;
use Telamon\Clients\ClientSearch;
use Telamon\Clients\ContactSearch;
use Telamon\Core\Matching\BlockingKeys;
use Telamon\Core\Matching\PersonReader;
use Telamon\Core\Matching\ShortForms;
use Telamon\Core\Reading\AddressReader;
use Telamon\Core\Reading\NameReader;
use Telamon\Database\SqliteSession;
use Telamon\Messages\MessageSearch;
use Telamon\Projects\ProjectSearch;
use Telamon\Search\SearchRows;
use Telamon\Submissions\SubmissionSearch;
use Telamon\Tables\AnswerRows;

/** Fills a data folder with many clients and submissions, straight into the tables. */
final readonly class Filler
{
    public function __construct(private \PDO $db, private string $path)
    {
    }

    public function fill(int $clients, int $submissions): void
    {
        $owner = $this->one("SELECT id FROM staff WHERE initials = 'SV'");
        $this->db->beginTransaction();
        $client = $this->db->prepare('INSERT INTO client (id, version, sort_name, given_name, family_name, address, since, tags, owner_id) VALUES (?, 1, ?, ?, ?, ?, ?, ?, ?)');
        $point = $this->db->prepare('INSERT INTO contact_point (id, kind, value, match_key, client_id) VALUES (?, ?, ?, ?, ?)');
        $key = $this->db->prepare('INSERT OR IGNORE INTO match_key (hash, client_id) VALUES (?, ?)');
        $blocking = new BlockingKeys(new ShortForms());
        $reader = new PersonReader(new NameReader(), new AddressReader());
        foreach ((new People(5))->make($clients, 0)[0] as $i => $row) {
            $id = Uuid::v7()->toRfc4122();
            $address = implode(', ', array_filter([$row['address_line'], $row['locality'], $row['postal_code']], static fn (string $part): bool => '' !== $part));
            $client->execute([
                $id,
                mb_strtolower("{$row['family_name']} {$row['given_name']}"),
                $row['given_name'],
                $row['family_name'],
                $address,
                gmdate('Y-m-d', 1_600_000_000 + 1000 * $i),
                0 === $i % 10 ? '["choir"]' : '[]',
                0 === $i % 20 ? $owner : null,
            ]);
            foreach (['email' => $row['email'], 'phone' => $row['phone']] as $kind => $value) {
                if ('' !== $value) {
                    $point->execute([Uuid::v7()->toRfc4122(), $kind, $value, $value, $id]);
                }
            }
            foreach ($blocking->filed($reader->of($row['given_name'], $row['family_name'], $row['organisation'], [$row['email']], [$row['phone']], $address)) as $hash) {
                $key->execute([$hash, $id]);
            }
        }
        $version = $this->one("SELECT v.id FROM form_version v JOIN form f ON f.id = v.form_id WHERE f.slug = 'piano-inquiry'");
        $form = $this->one("SELECT id FROM form WHERE slug = 'piano-inquiry'");
        $staff = $this->one("SELECT id FROM staff WHERE initials = 'NQ'");
        $row = $this->db->prepare(
            'INSERT INTO submission (id, version, state, aside_reason, aside_note, decided_at, number, answers, name, to_decide, channel, received_at, due_at, idempotency_key, decided_by_id, client_id, project_id, form_version_id, form_id) VALUES (?, 1, ?, ?, \'\', ?, ?, ?, ?, 0, \'page\', ?, ?, ?, ?, NULL, NULL, ?, ?)',
        );
        for ($i = 0; $i < $submissions; ++$i) {
            // The newest 250 still wait, as they would after a night and a morning of this traffic.
            $waiting = $i >= $submissions - 250;
            $at = gmdate('Y-m-d H:i:s', time() - ($submissions - $i) * 300);
            $row->execute([
                Uuid::v7()->toRfc4122(), $waiting ? 'waiting' : 'set-aside', $waiting ? '' : 'test', $waiting ? null : $at, "B-$i",
                json_encode([
                    'name' => "Given$i Family$i", 'email' => "person$i@example.net", 'phone' => '020 914 '.(1000 + $i % 9000),
                    'service' => ['repair', 'tuning', 'rental', 'valuation'][$i % 4],
                    'piano' => ['Upright', 'Grand', 'Square piano'][$i % 3]." no. $i", 'place' => ($i % 200).' Weir Cottages',
                    'wanted_by' => gmdate('j F Y', time() + $i % 400 * 86400), 'budget' => (string) (100 + $i % 900), 'matter' => str_repeat('It squeaks. ', 20),
                ], \JSON_THROW_ON_ERROR),
                "Given$i Family$i", $at, $at, null, $waiting ? null : $staff, $version, $form,
            ]);
        }
        $this->db->commit();
        $this->search();
        $this->readings();
        $this->db->exec('ANALYZE');
    }

    /** Open projects with six tasks each, the first of which is done. */
    public function projects(int $projects): void
    {
        $this->db->beginTransaction();
        $clients = $this->column("SELECT id FROM client LIMIT $projects");
        $lead = $this->one("SELECT id FROM staff WHERE initials = 'SV'");
        $stages = $this->column('SELECT name FROM stage ORDER BY position');
        $project = $this->db->prepare(
            "INSERT INTO project (id, version, number, title, stage, ready_by, notes, opened_at, stage_since, client_id, lead_id, service) VALUES (?, 1, ?, 'Repair', ?, ?, '', ?, ?, ?, ?, 'repair')",
        );
        $task = $this->db->prepare(
            "INSERT INTO task (id, version, project_id, position, name, assignee_id, due, waits_for, checklist, finished_at) VALUES (?, 1, ?, ?, ?, ?, ?, ?, 'Repair', ?)",
        );
        for ($i = 0; $i < $projects; ++$i) {
            $id = Uuid::v7()->toRfc4122();
            $at = gmdate('Y-m-d H:i:s', time() - $i * 7200);
            $project->execute([$id, "B-P-$i", $stages[$i % \count($stages)], gmdate('Y-m-d', time() + 864_000), $at, $at, $clients[$i % \count($clients)], $lead]);
            for ($n = 1; $n <= 6; ++$n) {
                $task->execute([
                    Uuid::v7()->toRfc4122(),
                    $id,
                    $n,
                    "Task $n",
                    $lead,
                    gmdate('Y-m-d', time() + 86_400 * ($n - 2)),
                    1 === $n ? '[]' : '['.($n - 1).']',
                    1 === $n ? $at : null,
                ]);
            }
        }
        $this->db->commit();
        $this->db->exec('ANALYZE');
    }

    /** @return non-empty-list<string> */
    private function column(string $sql): array
    {
        $found = $this->db->query($sql);
        /** @var list<string> $values */
        $values = false === $found ? [] : $found->fetchAll(\PDO::FETCH_COLUMN);

        return [] !== $values ? $values : throw new \LogicException("nothing came of $sql");
    }

    /** What is searched is written by the class that keeps it. */
    private function search(): void
    {
        // With the application's own way of waiting: the worker is at work meanwhile.
        $rows = new SearchRows(
            DriverManager::getConnection(['driver' => 'pdo_sqlite', 'path' => $this->path], (new Configuration())->setMiddlewares([new SqliteSession()])),
            [new SubmissionSearch(), new ClientSearch(), new ContactSearch(), new AssetSearch(), new ProjectSearch(), new MessageSearch()],
        );
        $this->db->exec('BEGIN');
        $this->db->exec('DELETE FROM search_entry');
        $this->db->exec("INSERT INTO search_text (search_text) VALUES ('rebuild')");
        $this->db->exec('COMMIT');
        $rows->fill();
    }

    /** So are the readings of answers. */
    private function readings(): void
    {
        $db = DriverManager::getConnection(['driver' => 'pdo_sqlite', 'path' => $this->path], (new Configuration())->setMiddlewares([new SqliteSession()]));
        $db->transactional(static fn () => (new AnswerRows($db))->fill());
    }

    private function one(string $sql): string
    {
        $result = $this->db->query($sql);
        $value = false === $result ? null : $result->fetchColumn();

        return \is_string($value) ? $value : throw new \RuntimeException("nothing found: $sql");
    }
}

<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Core\Matching\BlockingKeys;
use Telamon\Core\Matching\PersonReader;
use Telamon\Core\Matching\ShortForms;
use Telamon\Core\Reading\AddressReader;
use Telamon\Core\Reading\NameReader;
use Telamon\Database\Migration;

/** A visit that is moved remembers where it stood. */
final class Version20261202060000 extends Migration
{
    public function getDescription(): string
    {
        return 'A visit that is moved says from which time, an arrival that nobody accepted which rule did, and people are found by where their things stand';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE appointment ADD COLUMN moved_from DATETIME DEFAULT NULL');
        $this->addSql("ALTER TABLE submission ADD COLUMN accepted_through VARCHAR(120) DEFAULT '' NOT NULL");
        // A time of their own that was booked is an answer from now on. Where a rule promised one again, it is owed as before.
        $this->addSql(
            "UPDATE submission SET answered_at = decided_at WHERE state = 'accepted' AND answered_at IS NULL AND decided_by_id IS NULL AND EXISTS (SELECT 1 FROM appointment a WHERE a.submission_id = submission.id) AND NOT EXISTS (SELECT 1 FROM journal_entry e WHERE e.record_id = submission.id AND e.action = 'changed' AND CAST(e.after AS TEXT) LIKE '%\"dueAt\"%')",
        );
        $this->file();
    }

    /** Clients whose things stand somewhere are filed under those places too. */
    private function file(): void
    {
        $keys = new BlockingKeys(new ShortForms());
        $people = new PersonReader(new NameReader(), new AddressReader());
        $places = [];
        foreach ($this->connection->iterateAssociative(
            "SELECT a.client_id, a.place, c.given_name, c.family_name FROM asset a JOIN client c ON c.id = a.client_id WHERE a.place <> '' ORDER BY a.id",
        ) as $row) {
            $client = array_map(static fn (mixed $value): string => \is_scalar($value) ? (string) $value : '', $row);
            $places[$client['client_id']]['name'] = [$client['given_name'], $client['family_name']];
            $places[$client['client_id']]['places'][] = $client['place'];
        }
        foreach ($places as $id => $client) {
            foreach ($keys->filed($people->of($client['name'][0], $client['name'][1], '', [], [], '', $client['places'])) as $hash) {
                $this->addSql('INSERT OR IGNORE INTO match_key (hash, client_id) VALUES (?, ?)', [$hash, $id]);
            }
        }
    }
}

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

/** Clients are found by keys, merged, told apart, and come in from files. */
final class Version20261125030000 extends Migration
{
    public function getDescription(): string
    {
        return 'Matching: keys of clients, merged clients, pairs that are not the same, weights and thresholds';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE client ADD COLUMN external_id VARCHAR(100) NOT NULL DEFAULT ''");
        $this->addSql('ALTER TABLE client ADD COLUMN merged_into_id VARCHAR(36) DEFAULT NULL REFERENCES client (id)');
        $this->addSql('CREATE INDEX IDX_C7440455285E57BA ON client (merged_into_id)');
        $this->addSql('CREATE INDEX IDX_C74404559F75D7B0 ON client (external_id)');
        $this->addSql('ALTER TABLE business ADD COLUMN same_from INTEGER NOT NULL DEFAULT 90');
        $this->addSql('ALTER TABLE business ADD COLUMN perhaps_from INTEGER NOT NULL DEFAULT 20');
        $this->addSql('ALTER TABLE business ADD COLUMN again_days INTEGER NOT NULL DEFAULT 30');
        $this->addSql("ALTER TABLE business ADD COLUMN match_weights CLOB NOT NULL DEFAULT '[]'");
        $this->addSql(
            'CREATE TABLE told_apart (id VARCHAR(36) NOT NULL, one_id VARCHAR(36) NOT NULL, other_id VARCHAR(36) NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_TOLD_APART_ONE FOREIGN KEY (one_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE, CONSTRAINT FK_TOLD_APART_OTHER FOREIGN KEY (other_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE TABLE match_key (hash INTEGER NOT NULL, client_id VARCHAR(36) NOT NULL, PRIMARY KEY (hash, client_id)) WITHOUT ROWID');
        $this->addSql('CREATE INDEX match_key_client ON match_key (client_id)');
        $this->fill();
    }

    /** Those on file already are filed under their keys. */
    private function fill(): void
    {
        $forms = new ShortForms();
        $keys = new BlockingKeys($forms);
        $people = new PersonReader(new NameReader(), new AddressReader());
        $points = [];
        foreach ($this->connection->iterateAssociative('SELECT client_id, kind, match_key FROM contact_point') as $row) {
            $points[self::text($row, 'client_id')][self::text($row, 'kind')][] = self::text($row, 'match_key');
        }
        foreach ($this->connection->iterateAssociative('SELECT id, given_name, family_name, organisation, address FROM client') as $row) {
            $id = self::text($row, 'id');
            $person = $people->of(
                self::text($row, 'given_name'),
                self::text($row, 'family_name'),
                self::text($row, 'organisation'),
                $points[$id]['email'] ?? [],
                $points[$id]['phone'] ?? [],
                self::text($row, 'address'),
            );
            foreach ($keys->filed($person) as $hash) {
                $this->addSql('INSERT INTO match_key (hash, client_id) VALUES (?, ?)', [$hash, $id]);
            }
        }
    }

    /** @param array<string, mixed> $row */
    private static function text(array $row, string $name): string
    {
        return \is_string($row[$name]) ? $row[$name] : '';
    }
}

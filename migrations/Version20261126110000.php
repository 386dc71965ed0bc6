<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What the list of clients is narrowed and sorted by, found without reading all of them. */
final class Version20261126110000 extends Migration
{
    public function getDescription(): string
    {
        return 'The list of clients with many';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE INDEX client_by_name ON client (merged_into_id, archived_at, sort_name, id)');
        $this->addSql('CREATE INDEX client_by_day ON client (merged_into_id, archived_at, since, id)');
        $this->addSql('CREATE INDEX project_open ON project (closed_at, client_id)');
        $this->addSql('CREATE TABLE client_tag (client_id VARCHAR(36) NOT NULL, tag VARCHAR(60) NOT NULL, PRIMARY KEY (client_id, tag))');
        $this->addSql('CREATE INDEX client_tag_tag ON client_tag (tag, client_id)');
        $fill = 'INSERT OR IGNORE INTO client_tag (client_id, tag) SELECT %s, value FROM json_each(%s)';
        $this->addSql("INSERT OR IGNORE INTO client_tag (client_id, tag) SELECT client.id, j.value FROM client, json_each(client.tags) j WHERE client.tags <> '[]'");
        // By the database, whoever writes: the column stays what counts.
        $this->addSql('CREATE TRIGGER client_tag_insert AFTER INSERT ON client WHEN NEW.tags <> \'[]\' BEGIN '.\sprintf($fill, 'NEW.id', 'NEW.tags').'; END');
        $this->addSql(
            'CREATE TRIGGER client_tag_update AFTER UPDATE OF tags ON client BEGIN DELETE FROM client_tag WHERE client_id = NEW.id; '.\sprintf($fill, 'NEW.id', 'NEW.tags').'; END',
        );
        $this->addSql('CREATE TRIGGER client_tag_delete AFTER DELETE ON client BEGIN DELETE FROM client_tag WHERE client_id = OLD.id; END');
    }
}

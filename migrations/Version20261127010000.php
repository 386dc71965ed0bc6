<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** Which service a project is for, when a client was last in touch, and lists kept under names. */
final class Version20261127010000 extends Migration
{
    /** When X was last in touch: what came from them, and what was sent to them; what went to staff about them is no contact. */
    private const TOUCH = "UPDATE client SET last_contact = NULLIF(MAX(COALESCE((SELECT MAX(received_at) FROM submission WHERE client_id = client.id), ''), COALESCE((SELECT MAX(sent_at) FROM message WHERE client_id = client.id AND to_address NOT IN (SELECT email FROM staff)), '')), '') WHERE ";

    public function getDescription(): string
    {
        return 'Lists of clients and projects narrowed further';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE project ADD COLUMN service VARCHAR(40) DEFAULT '' NOT NULL");
        $this->addSql("UPDATE project SET service = COALESCE((SELECT s.code FROM service s WHERE s.name = project.title), '')");
        $this->addSql('CREATE INDEX project_service ON project (service, client_id)');
        $this->addSql('ALTER TABLE client ADD COLUMN last_contact DATETIME DEFAULT NULL');
        $this->addSql(self::TOUCH.'1 = 1');
        $this->addSql('CREATE INDEX client_by_contact ON client (merged_into_id, archived_at, last_contact, id)');
        $this->addSql('CREATE INDEX client_of_owner_by_name ON client (owner_id, merged_into_id, archived_at, sort_name, id)');
        $this->addSql('CREATE INDEX client_of_owner_by_day ON client (owner_id, merged_into_id, archived_at, since, id)');
        // By the database, whoever writes: no change of a record, so no version and no journal.
        foreach (['submission' => 'client_id', 'message' => 'client_id, sent_at'] as $table => $columns) {
            $this->addSql("CREATE TRIGGER client_touched_by_{$table}_insert AFTER INSERT ON $table WHEN NEW.client_id IS NOT NULL BEGIN ".self::TOUCH.'id = NEW.client_id; END');
            $this->addSql(
                "CREATE TRIGGER client_touched_by_{$table}_update AFTER UPDATE OF $columns ON $table WHEN NEW.client_id IS NOT NULL OR OLD.client_id IS NOT NULL BEGIN ".self::TOUCH.'id IN (OLD.client_id, NEW.client_id); END',
            );
            $this->addSql("CREATE TRIGGER client_touched_by_{$table}_delete AFTER DELETE ON $table WHEN OLD.client_id IS NOT NULL BEGIN ".self::TOUCH.'id = OLD.client_id; END');
        }
        $this->addSql(
            'CREATE TABLE list_view (id VARCHAR(36) NOT NULL, list VARCHAR(20) NOT NULL, name VARCHAR(80) NOT NULL, search CLOB NOT NULL, hidden CLOB NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE UNIQUE INDEX list_view_name ON list_view (list, name)');
    }
}

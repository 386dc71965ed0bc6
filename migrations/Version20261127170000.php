<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** Messages that come in, whom nothing unasked is sent to, and on what ground messages go out. */
final class Version20261127170000 extends Migration
{
    public function getDescription(): string
    {
        return 'Messages that come in';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            "CREATE TABLE incoming (id VARCHAR(36) NOT NULL, state VARCHAR(10) NOT NULL, submission_id VARCHAR(36) DEFAULT '' NOT NULL, says VARCHAR(10) NOT NULL, confidence INTEGER DEFAULT 0 NOT NULL, because CLOB DEFAULT '[]' NOT NULL, done CLOB DEFAULT '[]' NOT NULL, channel VARCHAR(10) NOT NULL, origin VARCHAR(10) NOT NULL, message_id VARCHAR(250) NOT NULL, from_address VARCHAR(254) NOT NULL, from_name VARCHAR(200) NOT NULL, subject VARCHAR(300) NOT NULL, said CLOB NOT NULL, whole CLOB NOT NULL, received_at DATETIME NOT NULL, client_id VARCHAR(36) DEFAULT NULL, project_id VARCHAR(36) DEFAULT NULL, answers_id VARCHAR(36) DEFAULT NULL, PRIMARY KEY (id), FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE, FOREIGN KEY (project_id) REFERENCES project (id) NOT DEFERRABLE INITIALLY IMMEDIATE, FOREIGN KEY (answers_id) REFERENCES message (id) NOT DEFERRABLE INITIALLY IMMEDIATE)",
        );
        $this->index('incoming', ['message_id'], true);
        foreach ([['client_id'], ['project_id'], ['answers_id'], ['received_at', 'id'], ['state', 'received_at']] as $columns) {
            $this->index('incoming', $columns);
        }
        $this->addSql(
            'CREATE TABLE stopped_address (id VARCHAR(36) NOT NULL, address VARCHAR(254) NOT NULL, way VARCHAR(100) NOT NULL, words VARCHAR(500) NOT NULL, at DATETIME NOT NULL, client_id VARCHAR(36) DEFAULT NULL, PRIMARY KEY (id), FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->index('stopped_address', ['address'], true);
        $this->index('stopped_address', ['client_id']);
        $this->addSql("ALTER TABLE message ADD COLUMN ground VARCHAR(10) DEFAULT 'contract' NOT NULL");
        $this->addSql("ALTER TABLE message ADD COLUMN in_reply_to VARCHAR(250) DEFAULT '' NOT NULL");
        $this->addSql("UPDATE message SET ground = 'staff' WHERE template IN ('added', 'told', 'notice', 'wish', 'quote-answered')");
    }

    /** @param non-empty-list<string> $columns */
    private function index(string $table, array $columns, bool $unique = false): void
    {
        $name = strtoupper(($unique ? 'UNIQ_' : 'IDX_').dechex(crc32($table)).implode('', array_map(static fn (string $column): string => dechex(crc32($column)), $columns)));
        $this->addSql('CREATE '.($unique ? 'UNIQUE ' : '').'INDEX '.substr($name, 0, 63)." ON $table (".implode(', ', $columns).')');
    }
}

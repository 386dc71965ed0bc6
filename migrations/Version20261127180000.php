<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** Follow-ups, and who is inside them. */
final class Version20261127180000 extends Migration
{
    public function getDescription(): string
    {
        return 'Follow-ups';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE follow_up (id VARCHAR(36) NOT NULL, name VARCHAR(100) NOT NULL, enabled BOOLEAN NOT NULL, version INTEGER NOT NULL, courses CLOB NOT NULL, code VARCHAR(40) NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE UNIQUE INDEX '.$this->name('UNIQ_', 'follow_up', 'code').' ON follow_up (code)');
        $this->addSql(
            "CREATE TABLE follow_up_run (id VARCHAR(36) NOT NULL, state VARCHAR(10) NOT NULL, course VARCHAR(10) NOT NULL, place INTEGER NOT NULL, due_at DATETIME DEFAULT NULL, ended_at DATETIME DEFAULT NULL, why VARCHAR(200) DEFAULT '' NOT NULL, version INTEGER NOT NULL, courses CLOB NOT NULL, log CLOB NOT NULL, answered_at VARCHAR(40) DEFAULT '' NOT NULL, submission_id VARCHAR(36) DEFAULT NULL, address VARCHAR(254) NOT NULL, started_by VARCHAR(200) NOT NULL, started_at DATETIME NOT NULL, follow_up_id VARCHAR(36) NOT NULL, client_id VARCHAR(36) NOT NULL, project_id VARCHAR(36) DEFAULT NULL, PRIMARY KEY (id), FOREIGN KEY (follow_up_id) REFERENCES follow_up (id) NOT DEFERRABLE INITIALLY IMMEDIATE, FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE, FOREIGN KEY (project_id) REFERENCES project (id) NOT DEFERRABLE INITIALLY IMMEDIATE)",
        );
        foreach ([['follow_up_id'], ['client_id'], ['project_id'], ['state', 'due_at']] as $columns) {
            $this->addSql('CREATE INDEX '.$this->name('IDX_', 'follow_up_run', ...$columns).' ON follow_up_run ('.implode(', ', $columns).')');
        }
    }
}

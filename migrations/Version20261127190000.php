<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** The notice board: rooms, notices, and who has seen them. */
final class Version20261127190000 extends Migration
{
    public function getDescription(): string
    {
        return 'The notice board';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            "CREATE TABLE notice_room (id VARCHAR(36) NOT NULL, about VARCHAR(200) DEFAULT '' NOT NULL, closed BOOLEAN DEFAULT 0 NOT NULL, members CLOB DEFAULT '[]' NOT NULL, code VARCHAR(40) NOT NULL, name VARCHAR(60) NOT NULL, PRIMARY KEY (id))",
        );
        $this->addSql('CREATE UNIQUE INDEX '.$this->name('UNIQ_', 'notice_room', 'code').' ON notice_room (code)');
        $this->addSql(
            'CREATE TABLE notice (id VARCHAR(36) NOT NULL, words CLOB NOT NULL, written_by VARCHAR(200) NOT NULL, submission_id VARCHAR(36) DEFAULT NULL, at DATETIME NOT NULL, holder_id VARCHAR(36) DEFAULT NULL, room_id VARCHAR(36) NOT NULL, client_id VARCHAR(36) DEFAULT NULL, project_id VARCHAR(36) DEFAULT NULL, PRIMARY KEY (id), FOREIGN KEY (holder_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE, FOREIGN KEY (room_id) REFERENCES notice_room (id) NOT DEFERRABLE INITIALLY IMMEDIATE, FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE, FOREIGN KEY (project_id) REFERENCES project (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        foreach ([['holder_id'], ['room_id'], ['client_id'], ['project_id'], ['room_id', 'at', 'id']] as $columns) {
            $this->addSql('CREATE INDEX '.$this->name('IDX_', 'notice', ...$columns).' ON notice ('.implode(', ', $columns).')');
        }
        $this->addSql(
            'CREATE TABLE notice_seen (id VARCHAR(36) NOT NULL, seen_at DATETIME DEFAULT NULL, mailed_at DATETIME DEFAULT NULL, notice_id VARCHAR(36) NOT NULL, staff_id VARCHAR(36) NOT NULL, PRIMARY KEY (id), FOREIGN KEY (notice_id) REFERENCES notice (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE, FOREIGN KEY (staff_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        foreach ([['notice_id'], ['staff_id']] as $columns) {
            $this->addSql('CREATE INDEX '.$this->name('IDX_', 'notice_seen', ...$columns).' ON notice_seen ('.implode(', ', $columns).')');
        }
        $this->addSql('CREATE UNIQUE INDEX '.$this->name('UNIQ_', 'notice_seen', 'notice_id', 'staff_id').' ON notice_seen (notice_id, staff_id)');
    }
}

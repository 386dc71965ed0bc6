<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What is said of a task, and how long somebody worked on it. */
final class Version20261127080000 extends Migration
{
    public function getDescription(): string
    {
        return 'Notes of tasks';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE task_note (id VARCHAR(36) NOT NULL, task_id VARCHAR(36) NOT NULL, staff_id VARCHAR(36) NOT NULL, at DATETIME NOT NULL, text CLOB NOT NULL, minutes INTEGER DEFAULT 0 NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_BC0E6E6F8DB60186 FOREIGN KEY (task_id) REFERENCES task (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE, CONSTRAINT FK_BC0E6E6FD4D57CD FOREIGN KEY (staff_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_'.strtoupper(dechex(crc32('task_note')).dechex(crc32('staff_id'))).' ON task_note (staff_id)');
        $this->addSql('CREATE INDEX IDX_'.strtoupper(dechex(crc32('task_note')).dechex(crc32('task_id')).dechex(crc32('at'))).' ON task_note (task_id, at)');
    }
}

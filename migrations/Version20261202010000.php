<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** A project remembers what people removed and set. */
final class Version20261202010000 extends Migration
{
    public function getDescription(): string
    {
        return 'What people removed from a project, and which waits and lengths they set, outlives the next version of its checklist';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE removed_item (id VARCHAR(36) NOT NULL, project_id VARCHAR(36) NOT NULL, item VARCHAR(121) NOT NULL, name VARCHAR(200) NOT NULL, waits_for CLOB NOT NULL, PRIMARY KEY(id), CONSTRAINT FK_REMOVED_PROJECT FOREIGN KEY (project_id) REFERENCES project (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_912C36CA166D1F9C ON removed_item (project_id)');
        $this->addSql('CREATE UNIQUE INDEX removed_item_once ON removed_item (project_id, item)');
        $this->addSql('ALTER TABLE task ADD COLUMN hand_waits BOOLEAN DEFAULT 0 NOT NULL');
        $this->addSql('ALTER TABLE task ADD COLUMN hand_takes BOOLEAN DEFAULT 0 NOT NULL');
    }
}

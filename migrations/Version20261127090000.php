<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What a stage needs before a project comes to it, and since when a project stands where it stands. */
final class Version20261127090000 extends Migration
{
    public function getDescription(): string
    {
        return 'Needs of stages, and since when a project stands at its own';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE stage ADD COLUMN needs CLOB DEFAULT '[]' NOT NULL");
        $this->addSql('ALTER TABLE project ADD COLUMN stage_since DATETIME DEFAULT NULL');
        $this->addSql(
            "UPDATE project SET stage_since = COALESCE((SELECT MAX(c.at) FROM journal_entry e JOIN change_set c ON c.id = e.change_id WHERE e.record_id = project.id AND json_extract(e.after, '$.stage') = project.stage), opened_at)",
        );
    }
}

<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** Files by hand: a note beside them, and whether they were removed. */
final class Version20261126100000 extends Migration
{
    public function getDescription(): string
    {
        return 'Files by hand';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE attachment ADD COLUMN note VARCHAR(500) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE attachment ADD COLUMN removed_at DATETIME DEFAULT NULL');
    }
}

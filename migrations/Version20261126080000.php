<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What a business sets up by hand; projects that are closed; projects follow the name of their stage. */
final class Version20261126080000 extends Migration
{
    public function getDescription(): string
    {
        return 'Settings by hand, closed projects';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE business ADD COLUMN vat_number VARCHAR(20) DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE business ADD COLUMN sources CLOB DEFAULT '[]' NOT NULL");
        $this->addSql("ALTER TABLE business ADD COLUMN lost_reasons CLOB DEFAULT '[]' NOT NULL");
        $this->addSql("ALTER TABLE stage ADD COLUMN ends VARCHAR(4) DEFAULT 'open' NOT NULL");
        $this->addSql('ALTER TABLE stage ADD COLUMN days INTEGER DEFAULT NULL');
        $this->addSql('ALTER TABLE service ADD COLUMN retired BOOLEAN DEFAULT 0 NOT NULL');
        $this->addSql("ALTER TABLE project ADD COLUMN outcome VARCHAR(4) DEFAULT 'open' NOT NULL");
        $this->addSql("ALTER TABLE project ADD COLUMN close_reason VARCHAR(300) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE project ADD COLUMN closed_at DATETIME DEFAULT NULL');
        $this->addSql("ALTER TABLE project ADD COLUMN source VARCHAR(60) DEFAULT '' NOT NULL");
        // By the database, so that taking a new name back takes the projects back with it.
        $this->addSql(
            'CREATE TRIGGER project_follows_stage AFTER UPDATE OF name ON stage WHEN OLD.name <> NEW.name BEGIN UPDATE project SET stage = NEW.name WHERE stage = OLD.name; END',
        );
    }
}

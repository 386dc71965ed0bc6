<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** The look of the public pages, services by turns and with a promise of their own, hours and absences of staff, reasons for setting aside. */
final class Version20261127020000 extends Migration
{
    public function getDescription(): string
    {
        return 'More of the business’s own settings';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE business ADD COLUMN accent VARCHAR(7) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE business ADD COLUMN logo_id VARCHAR(36) DEFAULT NULL');
        $this->addSql("ALTER TABLE business ADD COLUMN aside_reasons CLOB DEFAULT '[]' NOT NULL");
        $this->addSql('CREATE TABLE logo (id VARCHAR(36) NOT NULL, type VARCHAR(20) NOT NULL, bytes BLOB NOT NULL, PRIMARY KEY (id))');
        $this->addSql("ALTER TABLE service ADD COLUMN words CLOB DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE service ADD COLUMN led VARCHAR(6) DEFAULT 'named' NOT NULL");
        $this->addSql("ALTER TABLE service ADD COLUMN among CLOB DEFAULT '[]' NOT NULL");
        $this->addSql('ALTER TABLE service ADD COLUMN promise_minutes INTEGER DEFAULT NULL');
        $this->addSql('ALTER TABLE attachment ADD COLUMN for_office BOOLEAN DEFAULT 0 NOT NULL');
        $this->addSql("ALTER TABLE staff ADD COLUMN hours CLOB DEFAULT '[]' NOT NULL");
        $this->addSql(
            'CREATE TABLE absence (id VARCHAR(36) NOT NULL, staff_id VARCHAR(36) NOT NULL, first DATE NOT NULL, last DATE NOT NULL, note VARCHAR(100) NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_765AE0C9D4D57CD FOREIGN KEY (staff_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_765AE0C9D4D57CD ON absence (staff_id)');
    }
}

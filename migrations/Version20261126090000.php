<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What is kept of clients by hand: language, what a way to reach them is for, consents; whether they are archived. */
final class Version20261126090000 extends Migration
{
    public function getDescription(): string
    {
        return 'Clients by hand';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE client ADD COLUMN language VARCHAR(12) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE client ADD COLUMN archived_at DATETIME DEFAULT NULL');
        $this->addSql("ALTER TABLE contact_point ADD COLUMN purpose VARCHAR(100) DEFAULT '' NOT NULL");
        $this->addSql(
            'CREATE TABLE client_consent (id VARCHAR(36) NOT NULL, client_id VARCHAR(36) NOT NULL, staff_id VARCHAR(36) NOT NULL, what VARCHAR(100) NOT NULL, wording CLOB NOT NULL, given BOOLEAN NOT NULL, day DATE NOT NULL, way VARCHAR(40) NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_312F4C6D19EB6921 FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE, CONSTRAINT FK_312F4C6DD4D57CD FOREIGN KEY (staff_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_312F4C6D19EB6921 ON client_consent (client_id)');
        $this->addSql('CREATE INDEX IDX_312F4C6DD4D57CD ON client_consent (staff_id)');
    }
}

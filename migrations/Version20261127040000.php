<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** Who waits for a place in a full group; whose clock a member of staff works by. */
final class Version20261127040000 extends Migration
{
    public function getDescription(): string
    {
        return 'Waiting for a place; time zones of staff';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE waiting_place (id VARCHAR(36) NOT NULL, begun_by VARCHAR(64) NOT NULL, type_id VARCHAR(36) NOT NULL, starts_at DATETIME NOT NULL, minutes INTEGER NOT NULL, address VARCHAR(300) NOT NULL, who VARCHAR(200) NOT NULL, email VARCHAR(254) NOT NULL, zone VARCHAR(60) NOT NULL, submission_id VARCHAR(36) DEFAULT NULL, client_id VARCHAR(36) DEFAULT NULL, project_id VARCHAR(36) DEFAULT NULL, since DATETIME NOT NULL, appointment_id VARCHAR(36) DEFAULT NULL, PRIMARY KEY (id), CONSTRAINT FK_waiting_place_type FOREIGN KEY (type_id) REFERENCES visit_type (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE UNIQUE INDEX UNIQ_9B687889C8AA62B0 ON waiting_place (begun_by)');
        $this->addSql('CREATE INDEX IDX_9B687889C54C8C93 ON waiting_place (type_id)');
        $this->addSql('CREATE INDEX waiting_place_starts ON waiting_place (starts_at)');
        $this->addSql('ALTER TABLE business ADD COLUMN little_driving INTEGER DEFAULT 25 NOT NULL');
        $this->addSql('ALTER TABLE business ADD COLUMN small_gap INTEGER DEFAULT 45 NOT NULL');
        $this->addSql('ALTER TABLE business ADD COLUMN offer_hours INTEGER DEFAULT 24 NOT NULL');
        $this->addSql("ALTER TABLE staff ADD COLUMN zone VARCHAR(60) DEFAULT '' NOT NULL");
    }
}

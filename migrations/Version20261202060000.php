<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** A visit that is moved remembers where it stood. */
final class Version20261202060000 extends Migration
{
    public function getDescription(): string
    {
        return 'A visit that is moved says from which time, and an arrival that nobody accepted says which rule did';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE appointment ADD COLUMN moved_from DATETIME DEFAULT NULL');
        $this->addSql("ALTER TABLE submission ADD COLUMN accepted_through VARCHAR(120) DEFAULT '' NOT NULL");
    }
}

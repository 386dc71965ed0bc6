<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What a service asks for once it is done, and when. */
final class Version20261127100000 extends Migration
{
    public function getDescription(): string
    {
        return 'Repeating care of services';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE service ADD COLUMN care_task VARCHAR(200) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE service ADD COLUMN care_months INTEGER DEFAULT NULL');
        $this->addSql('ALTER TABLE service ADD COLUMN care_week INTEGER DEFAULT NULL');
    }
}

<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** The number of whoever booked a visit. */
final class Version20261201020000 extends Migration
{
    public function getDescription(): string
    {
        return 'Visits keep the number of whoever booked them, so that many of one are seen';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE appointment ADD COLUMN phone VARCHAR(40) DEFAULT '' NOT NULL");
    }
}

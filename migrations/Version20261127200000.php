<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** Signatures of single people. */
final class Version20261127200000 extends Migration
{
    public function getDescription(): string
    {
        return 'How somebody’s letters end';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE staff ADD COLUMN signature CLOB DEFAULT '' NOT NULL");
    }
}

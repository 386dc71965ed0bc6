<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** Work by the clock: who does which kind, and what could not be done. */
final class Version20261201000000 extends Migration
{
    public function getDescription(): string
    {
        return 'Work by the clock is taken by one process at a time; what fails is tried again and told';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE due_work (name VARCHAR(40) NOT NULL, next_at INTEGER NOT NULL, looked_at INTEGER NOT NULL, taken_until INTEGER DEFAULT NULL, taken_by VARCHAR(16) NOT NULL, PRIMARY KEY(name))',
        );
        $this->addSql(
            'CREATE TABLE due_trouble (work VARCHAR(40) NOT NULL, record VARCHAR(300) NOT NULL, tries INTEGER NOT NULL, since INTEGER NOT NULL, next_at INTEGER NOT NULL, why VARCHAR(300) NOT NULL, PRIMARY KEY(work, record))',
        );
        $this->addSql('CREATE TABLE installation_note (name VARCHAR(40) NOT NULL, value VARCHAR(300) NOT NULL, PRIMARY KEY(name))');
    }
}

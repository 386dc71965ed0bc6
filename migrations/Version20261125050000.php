<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;
use Telamon\Search\SearchRows;

/** One search over everything. */
final class Version20261125050000 extends Migration
{
    public function getDescription(): string
    {
        return 'Search: rows of all records, and the index of their trigrams';
    }

    public function up(Schema $schema): void
    {
        // Made by the class that keeps them from now on, once the statements before are through; filled when the update is.
        $this->addSql('SELECT 1');
    }

    public function postUp(Schema $schema): void
    {
        (new SearchRows($this->connection, []))->create();
    }
}

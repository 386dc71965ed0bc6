<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What is typed and not saved. */
final class Version20261201030000 extends Migration
{
    public function getDescription(): string
    {
        return 'What somebody types is kept on the server until it is saved';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE draft (id VARCHAR(36) NOT NULL, staff VARCHAR(36) NOT NULL, name VARCHAR(200) NOT NULL, value CLOB NOT NULL, at DATETIME NOT NULL, revision INTEGER NOT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE UNIQUE INDEX draft_of_staff ON draft (staff, name)');
        $this->addSql('CREATE INDEX draft_name ON draft (name)');
        $this->addSql('CREATE INDEX draft_at ON draft (at)');
    }
}

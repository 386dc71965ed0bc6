<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What quotes may begin from, by name. */
final class Version20261127060000 extends Migration
{
    public function getDescription(): string
    {
        return 'Templates of quotes';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE quote_template (id VARCHAR(36) NOT NULL, version INTEGER DEFAULT 1 NOT NULL, content CLOB NOT NULL, name VARCHAR(100) NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE UNIQUE INDEX UNIQ_7D5AB7125E237E06 ON quote_template (name)');
    }
}

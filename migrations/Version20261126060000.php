<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** Clients who have to do with one another. */
final class Version20261126060000 extends Migration
{
    public function getDescription(): string
    {
        return 'Links between clients';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE client_link (id VARCHAR(36) NOT NULL, client_id VARCHAR(36) NOT NULL, other_id VARCHAR(36) NOT NULL, kind VARCHAR(20) NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_E7305A9319EB6921 FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE, CONSTRAINT FK_E7305A93998D9879 FOREIGN KEY (other_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_E7305A9319EB6921 ON client_link (client_id)');
        $this->addSql('CREATE INDEX IDX_E7305A93998D9879 ON client_link (other_id)');
    }
}

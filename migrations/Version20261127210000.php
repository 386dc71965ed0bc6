<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What goes with a message beside its words, where answers to it go, and what it advertises. */
final class Version20261127210000 extends Migration
{
    public function getDescription(): string
    {
        return 'Files with messages, texts, addresses for answers, consent for what advertises';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE message ADD COLUMN papers CLOB DEFAULT '[]' NOT NULL");
        $this->addSql("UPDATE message SET papers = json_array(paper) WHERE paper <> ''");
        $this->addSql('ALTER TABLE message DROP COLUMN paper');
        $this->addSql("ALTER TABLE message ADD COLUMN answers_to VARCHAR(254) DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE message ADD COLUMN consent VARCHAR(100) DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE message ADD COLUMN channel VARCHAR(5) DEFAULT 'mail' NOT NULL");
        $this->addSql("ALTER TABLE message_template ADD COLUMN papers CLOB DEFAULT '[]' NOT NULL");
        $this->addSql("ALTER TABLE message_template ADD COLUMN answers_to VARCHAR(254) DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE message_template ADD COLUMN consent VARCHAR(100) DEFAULT '' NOT NULL");
    }
}

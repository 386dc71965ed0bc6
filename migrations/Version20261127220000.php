<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** Rooms that reach somebody at once, and that post to a chat of the business's own. */
final class Version20261127220000 extends Migration
{
    public function getDescription(): string
    {
        return 'Hours on call, posts of rooms to other places, events without a message';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE notice_room ADD COLUMN on_call CLOB DEFAULT '[]' NOT NULL");
        $this->addSql("ALTER TABLE notice_room ADD COLUMN post_to VARCHAR(500) DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE notice_room ADD COLUMN secret VARCHAR(80) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE message_template ADD COLUMN off BOOLEAN DEFAULT 0 NOT NULL');
        $this->addSql(
            'CREATE TABLE notice_post (id VARCHAR(36) NOT NULL, state VARCHAR(10) NOT NULL, tries INTEGER NOT NULL, next_at DATETIME DEFAULT NULL, sent_at DATETIME DEFAULT NULL, answer VARCHAR(300) NOT NULL, made_at DATETIME NOT NULL, notice_id VARCHAR(36) NOT NULL, PRIMARY KEY (id), FOREIGN KEY (notice_id) REFERENCES notice (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX '.$this->name('IDX_', 'notice_post', 'notice_id').' ON notice_post (notice_id)');
        $this->addSql('CREATE INDEX '.$this->name('IDX_', 'notice_post', 'state', 'next_at').' ON notice_post (state, next_at)');
    }
}

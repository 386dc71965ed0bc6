<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What templates ask; of letters that came in: their parts, their bytes, and whether they are believed. */
final class Version20261201010000 extends Migration
{
    public function getDescription(): string
    {
        return 'Templates say what they ask; letters keep their parts, the record of their bytes, and whether they are believed';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE message_template ADD COLUMN asks VARCHAR(10) DEFAULT 'decision' NOT NULL");
        $this->addSql(
            "UPDATE message_template SET asks = 'nothing' WHERE code IN ('confirmation', 'copy', 'booked', 'series', 'moved', 'cancelled', 'reminder', 'on-the-way', 'missed', 'choose-time', 'quote-accepted', 'quote-yes', 'added', 'told', 'notice', 'notices', 'wish', 'quote-answered', 'quote-drafted', 'quote-reply')",
        );
        $this->addSql("ALTER TABLE incoming ADD COLUMN parts CLOB DEFAULT '[]' NOT NULL");
        $this->addSql("ALTER TABLE incoming ADD COLUMN original VARCHAR(64) DEFAULT '' NOT NULL");
        // What came before is as it was.
        $this->addSql('ALTER TABLE incoming ADD COLUMN believed BOOLEAN DEFAULT 1 NOT NULL');
        $this->addSql('ALTER TABLE incoming ADD COLUMN unsure BOOLEAN DEFAULT 0 NOT NULL');
        $this->addSql('ALTER TABLE message ADD COLUMN tries INTEGER DEFAULT 0 NOT NULL');
        $this->addSql('ALTER TABLE message ADD COLUMN failing_since DATETIME DEFAULT NULL');
        $this->addSql('ALTER TABLE contact_point ADD COLUMN confirmed BOOLEAN DEFAULT 1 NOT NULL');
        $this->addSql('ALTER TABLE calendar_feed ADD COLUMN made_by_id VARCHAR(36) DEFAULT NULL REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE');
        $this->addSql('CREATE INDEX '.$this->name('IDX_', 'calendar_feed', 'made_by_id').' ON calendar_feed (made_by_id)');
        $this->addSql('ALTER TABLE staff ADD COLUMN links_sent INTEGER DEFAULT 0 NOT NULL');
        $this->addSql("ALTER TABLE business ADD COLUMN mail_server VARCHAR(120) DEFAULT '' NOT NULL");
    }
}

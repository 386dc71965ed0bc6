<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** When somebody inside a follow-up answered, the day that they named, the form of theirs that it waits for; templates that go as texts; quiet days. */
final class Version20261128000000 extends Migration
{
    public function getDescription(): string
    {
        return 'Follow-ups: when they answered, the day they named, a form that somebody has to look at; templates that go as texts';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE follow_up_run ADD COLUMN answered_on DATETIME DEFAULT NULL');
        $this->addSql('ALTER TABLE follow_up_run ADD COLUMN named_day DATE DEFAULT NULL');
        $this->addSql('ALTER TABLE follow_up_run ADD COLUMN waits_for_submission VARCHAR(36) DEFAULT NULL');
        $this->addSql('ALTER TABLE message_template ADD COLUMN text_first BOOLEAN DEFAULT 0 NOT NULL');
        $this->addSql("ALTER TABLE business ADD COLUMN quiet_days VARCHAR(10) DEFAULT 'none' NOT NULL");
        // Where an answer ended it, that is when it came; where it leads on, the time was not kept.
        $this->addSql("UPDATE follow_up_run SET answered_on = ended_at WHERE answered_at <> '' AND ended_at IS NOT NULL");
    }
}

<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What is done with submissions beside deciding them; several addresses and an owner of clients; rules on events. */
final class Version20261126000000 extends Migration
{
    public function getDescription(): string
    {
        return 'Assignee, reminder, notes, answered, priority, sameness; addresses and owners of clients; what rules did it to';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE client ADD COLUMN other_addresses CLOB DEFAULT '[]' NOT NULL");
        $this->addSql('ALTER TABLE client ADD COLUMN owner_id VARCHAR(36) DEFAULT NULL CONSTRAINT FK_C74404557E3C61F9 REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE');
        $this->addSql('CREATE INDEX IDX_C74404557E3C61F9 ON client (owner_id)');
        $this->addSql(
            'ALTER TABLE submission ADD COLUMN assignee_id VARCHAR(36) DEFAULT NULL CONSTRAINT FK_DB055AF359EC7D60 REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE',
        );
        $this->addSql(
            'ALTER TABLE submission ADD COLUMN answered_by_id VARCHAR(36) DEFAULT NULL CONSTRAINT FK_DB055AF32FC55A77 REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE',
        );
        $this->addSql(
            'ALTER TABLE submission ADD COLUMN same_as_id VARCHAR(36) DEFAULT NULL CONSTRAINT FK_DB055AF39E8CE2AD REFERENCES submission (id) NOT DEFERRABLE INITIALLY IMMEDIATE',
        );
        $this->addSql('ALTER TABLE submission ADD COLUMN remind_at DATETIME DEFAULT NULL');
        $this->addSql('ALTER TABLE submission ADD COLUMN answered_at DATETIME DEFAULT NULL');
        $this->addSql('ALTER TABLE submission ADD COLUMN priority INTEGER DEFAULT 0 NOT NULL');
        $this->addSql("ALTER TABLE submission ADD COLUMN sameness VARCHAR(64) DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE submission ADD COLUMN sent CLOB DEFAULT '{}' NOT NULL");
        $this->addSql('ALTER TABLE submission ADD COLUMN doubled BOOLEAN DEFAULT 0 NOT NULL');
        $this->addSql("UPDATE submission SET answered_at = decided_at, answered_by_id = decided_by_id WHERE state = 'accepted' AND decided_by_id IS NOT NULL");
        $this->addSql('CREATE INDEX IDX_DB055AF359EC7D60 ON submission (assignee_id)');
        $this->addSql('CREATE INDEX IDX_DB055AF32FC55A77 ON submission (answered_by_id)');
        $this->addSql('CREATE INDEX IDX_DB055AF39E8CE2AD ON submission (same_as_id)');
        $this->addSql('CREATE INDEX IDX_DB055AF3A393D2FB6CD47AE1 ON submission (state, answered_at)');
        $this->addSql('CREATE INDEX IDX_DB055AF3D77F69BA6D4F7F99 ON submission (sameness, received_at)');
        $this->addSql(
            'CREATE TABLE arrival_note (id VARCHAR(36) NOT NULL, text VARCHAR(2000) NOT NULL, at DATETIME NOT NULL, submission_id VARCHAR(36) NOT NULL, staff_id VARCHAR(36) NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_620215E1FD4933 FOREIGN KEY (submission_id) REFERENCES submission (id) NOT DEFERRABLE INITIALLY IMMEDIATE, CONSTRAINT FK_620215D4D57CD FOREIGN KEY (staff_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_620215E1FD4933 ON arrival_note (submission_id)');
        $this->addSql('CREATE INDEX IDX_620215D4D57CD ON arrival_note (staff_id)');
        $this->addSql('CREATE INDEX IDX_620215E1FD49336A57FD3C ON arrival_note (submission_id, at)');
        $this->addSql("ALTER TABLE rule_use ADD COLUMN change_id VARCHAR(36) DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE rule_use ADD COLUMN record_kind VARCHAR(20) DEFAULT 'submission' NOT NULL");
        $this->addSql("ALTER TABLE rule_use ADD COLUMN record_label VARCHAR(300) DEFAULT '' NOT NULL");
        $this->addSql(
            "UPDATE rule_use SET change_id = COALESCE((SELECT c.id FROM change_set c WHERE c.submission_id = rule_use.submission_id AND c.kind = 'accept' ORDER BY c.at DESC LIMIT 1), ''), record_label = COALESCE((SELECT s.number || ' ' || s.name FROM submission s WHERE s.id = rule_use.submission_id), '')",
        );
        $this->addSql('ALTER TABLE rule_use RENAME COLUMN submission_id TO record_id');
        $this->addSql('CREATE TABLE rule_turn (place VARCHAR(80) NOT NULL, staff_id VARCHAR(36) NOT NULL, PRIMARY KEY (place))');
    }
}

<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What was taken back can be done again; changes stand in the order in which they were written, whatever the clock said. */
final class Version20261126020000 extends Migration
{
    public function getDescription(): string
    {
        return 'What a taking back took back; the order of changes and of the journal';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE change_set ADD COLUMN undoes VARCHAR(36) DEFAULT NULL');
        $this->addSql('CREATE INDEX IDX_373147C1EA66A7D0 ON change_set (undoes)');
        $this->addSql('ALTER TABLE change_set ADD COLUMN seq INTEGER DEFAULT 0 NOT NULL');
        $this->addSql('ALTER TABLE journal_entry ADD COLUMN seq INTEGER DEFAULT 0 NOT NULL');
        foreach (['change_set', 'journal_entry'] as $table) {
            // Given by the database as a row is written: a clock may go back, this does not.
            $this->addSql("CREATE TRIGGER {$table}_seq AFTER INSERT ON $table BEGIN UPDATE $table SET seq = NEW.rowid WHERE rowid = NEW.rowid; END");
        }
        $this->addSql('UPDATE change_set SET seq = rowid');
        $this->addSql('UPDATE journal_entry SET seq = rowid');
        $this->addSql('CREATE INDEX IDX_373147C1D4D57CD967ED153 ON change_set (staff_id, seq)');
        $this->addSql('CREATE INDEX IDX_C8FAAE5A4DFD750C967ED153 ON journal_entry (record_id, seq)');
    }
}

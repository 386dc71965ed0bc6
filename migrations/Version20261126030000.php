<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;
use Telamon\Tables\AnswerRows;

/** Answers as they were read: kept in the order that tables are shown in, counted as they come. */
final class Version20261126030000 extends Migration
{
    public function getDescription(): string
    {
        return 'Stored readings of answers, for tables and figures';
    }

    public function up(Schema $schema): void
    {
        // Without numbers of their own, the rows lie in the order of their keys: a page, or a search, reads on from where it is.
        $this->addSql(
            'CREATE TABLE answer_text (form_id VARCHAR(36) NOT NULL REFERENCES form (id) ON DELETE CASCADE, received_at DATETIME NOT NULL, submission_id VARCHAR(36) NOT NULL REFERENCES submission (id) ON DELETE CASCADE, folded TEXT NOT NULL, PRIMARY KEY (form_id, received_at, submission_id)) WITHOUT ROWID',
        );
        $this->addSql('CREATE UNIQUE INDEX answer_text_submission ON answer_text (submission_id)');
        $this->addSql(
            "CREATE TABLE answer_reading (form_id VARCHAR(36) NOT NULL REFERENCES form (id) ON DELETE CASCADE, question_key VARCHAR(60) NOT NULL, serves VARCHAR(10) NOT NULL CHECK (serves IN ('order', 'count')), value TEXT NOT NULL, submission_id VARCHAR(36) NOT NULL REFERENCES submission (id) ON DELETE CASCADE, PRIMARY KEY (form_id, question_key, serves, value, submission_id)) WITHOUT ROWID",
        );
        $this->addSql('CREATE INDEX answer_reading_submission ON answer_reading (submission_id, question_key, serves)');
        $this->addSql(
            'CREATE TABLE answer_count (form_id VARCHAR(36) NOT NULL REFERENCES form (id) ON DELETE CASCADE, question_key VARCHAR(60) NOT NULL, value TEXT NOT NULL, times INTEGER NOT NULL, PRIMARY KEY (form_id, question_key, value)) WITHOUT ROWID',
        );
        // Whoever writes or removes a reading, its count follows.
        $this->addSql(
            "CREATE TRIGGER answer_counted AFTER INSERT ON answer_reading WHEN NEW.serves = 'count' BEGIN INSERT INTO answer_count VALUES (NEW.form_id, NEW.question_key, NEW.value, 1) ON CONFLICT DO UPDATE SET times = times + 1; END",
        );
        $this->addSql(
            "CREATE TRIGGER answer_uncounted AFTER DELETE ON answer_reading WHEN OLD.serves = 'count' BEGIN UPDATE answer_count SET times = times - 1 WHERE form_id = OLD.form_id AND question_key = OLD.question_key AND value = OLD.value; END",
        );
    }

    public function postUp(Schema $schema): void
    {
        (new AnswerRows($this->connection))->fill();
    }
}

<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** Forms are designed: drafts, days, limits. */
final class Version20261125010000 extends Migration
{
    public function getDescription(): string
    {
        return 'Drafts of forms, and when forms are open';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE form ADD COLUMN opens_on DATE DEFAULT NULL');
        $this->addSql('ALTER TABLE form ADD COLUMN closes_on DATE DEFAULT NULL');
        $this->addSql('ALTER TABLE form ADD COLUMN most INTEGER DEFAULT NULL');
        $this->addSql("ALTER TABLE form ADD COLUMN closed_text VARCHAR(1000) NOT NULL DEFAULT ''");
        $this->addSql(
            'CREATE TABLE form_draft (id VARCHAR(36) NOT NULL, version INTEGER DEFAULT 1 NOT NULL, definition CLOB NOT NULL, saved_at DATETIME NOT NULL, form_id VARCHAR(36) NOT NULL, saved_by_id VARCHAR(36) DEFAULT NULL, PRIMARY KEY (id), CONSTRAINT FK_75A0C2195FF69B7D FOREIGN KEY (form_id) REFERENCES form (id) NOT DEFERRABLE INITIALLY IMMEDIATE, CONSTRAINT FK_75A0C219D14E7A8E FOREIGN KEY (saved_by_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE UNIQUE INDEX UNIQ_C53B32575FF69B7D ON form_draft (form_id)');
        $this->addSql('CREATE INDEX IDX_C53B3257C734FB1D ON form_draft (saved_by_id)');
    }
}

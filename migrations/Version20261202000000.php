<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What was signed can be checked by anybody, and stays one file. */
final class Version20261202000000 extends Migration
{
    public function getDescription(): string
    {
        return 'What was signed is closed by a key; its file is drawn once and stays';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE signed ADD COLUMN evidence CLOB DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE signed ADD COLUMN ubl CLOB DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE signed ADD COLUMN pdf_sha256 VARCHAR(64) DEFAULT NULL REFERENCES stored_file (sha256)');
        $this->addSql('CREATE INDEX IDX_1EBBD8C33A5FB870 ON signed (pdf_sha256)');
        $this->addSql('ALTER TABLE attachment ADD COLUMN signed BOOLEAN DEFAULT 0 NOT NULL');
    }
}

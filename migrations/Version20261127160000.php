<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Core\Messages\FromMustache;
use Telamon\Database\Migration;

/** Texts of mails become documents with versions; messages may wait for a person. */
final class Version20261127160000 extends Migration
{
    public function getDescription(): string
    {
        return 'Message templates as documents';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE message_template ADD COLUMN document CLOB DEFAULT '{}' NOT NULL");
        $this->addSql("ALTER TABLE message_template ADD COLUMN text_message CLOB DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE message_template ADD COLUMN version INTEGER DEFAULT 1 NOT NULL');
        $this->addSql('ALTER TABLE message_template ADD COLUMN retired BOOLEAN DEFAULT 0 NOT NULL');
        /** @var list<array{id: string, subject: string, body: string}> $rows */
        $rows = $this->connection->fetchAllAssociative('SELECT id, subject, body FROM message_template');
        foreach ($rows as $row) {
            $this->addSql('UPDATE message_template SET subject = ?, document = ? WHERE id = ?', [
                mb_substr(FromMustache::line($row['subject']), 0, 200),
                json_encode(FromMustache::document(str_replace('{{first_name}}', '{{first_name|there}}', $row['body']))->toArray(), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE),
                $row['id'],
            ]);
        }
        $this->addSql('ALTER TABLE message_template DROP COLUMN body');
        $this->addSql(
            'CREATE TABLE message_template_version (id VARCHAR(36) NOT NULL, version INTEGER NOT NULL, text CLOB NOT NULL, until DATETIME NOT NULL, template_id VARCHAR(36) NOT NULL, staff_id VARCHAR(36) DEFAULT NULL, PRIMARY KEY (id), FOREIGN KEY (template_id) REFERENCES message_template (id) NOT DEFERRABLE INITIALLY IMMEDIATE, FOREIGN KEY (staff_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        foreach (['template_id', 'staff_id'] as $column) {
            $this->addSql('CREATE INDEX '.strtoupper('IDX_'.dechex(crc32('message_template_version')).dechex(crc32($column)))." ON message_template_version ($column)");
        }
        $this->addSql("ALTER TABLE message ADD COLUMN html CLOB DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE message ADD COLUMN lacks CLOB DEFAULT '{}' NOT NULL");
        $this->addSql("ALTER TABLE business ADD COLUMN signature CLOB DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE business ADD COLUMN reply_threshold INTEGER DEFAULT 95 NOT NULL');
        $this->addSql("ALTER TABLE business ADD COLUMN quiet_from VARCHAR(5) DEFAULT '20:00' NOT NULL");
        $this->addSql("ALTER TABLE business ADD COLUMN quiet_until VARCHAR(5) DEFAULT '08:00' NOT NULL");
        $this->addSql('ALTER TABLE business ADD COLUMN mails_an_hour INTEGER DEFAULT 0 NOT NULL');
    }
}

<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** Answers go into every record; submissions say where they came from. */
final class Version20261125020000 extends Migration
{
    public function getDescription(): string
    {
        return 'Custom fields, contacts, tags, wishes; where submissions came from; views of a form’s table';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE client ADD COLUMN organisation VARCHAR(200) NOT NULL DEFAULT ''");
        $this->addSql("ALTER TABLE client ADD COLUMN notes CLOB NOT NULL DEFAULT ''");
        $this->addSql("ALTER TABLE client ADD COLUMN tags CLOB NOT NULL DEFAULT '[]'");
        $this->addSql("ALTER TABLE client ADD COLUMN custom CLOB NOT NULL DEFAULT '{}'");
        $this->addSql("ALTER TABLE asset ADD COLUMN make VARCHAR(200) NOT NULL DEFAULT ''");
        $this->addSql("ALTER TABLE asset ADD COLUMN model VARCHAR(200) NOT NULL DEFAULT ''");
        $this->addSql("ALTER TABLE asset ADD COLUMN serial_number VARCHAR(200) NOT NULL DEFAULT ''");
        $this->addSql("ALTER TABLE asset ADD COLUMN notes CLOB NOT NULL DEFAULT ''");
        $this->addSql("ALTER TABLE asset ADD COLUMN custom CLOB NOT NULL DEFAULT '{}'");
        $this->addSql("ALTER TABLE project ADD COLUMN budget VARCHAR(200) NOT NULL DEFAULT ''");
        $this->addSql("ALTER TABLE project ADD COLUMN tags CLOB NOT NULL DEFAULT '[]'");
        $this->addSql("ALTER TABLE project ADD COLUMN custom CLOB NOT NULL DEFAULT '{}'");
        $this->addSql("ALTER TABLE project ADD COLUMN wishes CLOB NOT NULL DEFAULT '{}'");
        $this->addSql(
            'CREATE TABLE contact (id VARCHAR(36) NOT NULL, client_id VARCHAR(36) NOT NULL, name VARCHAR(200) NOT NULL, role VARCHAR(200) NOT NULL, email VARCHAR(254) NOT NULL, phone VARCHAR(40) NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_4C62E63819EB6921 FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_4C62E63819EB6921 ON contact (client_id)');
        $this->addSql(
            'CREATE TABLE custom_field (id VARCHAR(36) NOT NULL, record VARCHAR(10) NOT NULL, key VARCHAR(40) NOT NULL, label VARCHAR(100) NOT NULL, kind VARCHAR(10) NOT NULL, choices CLOB NOT NULL, retired BOOLEAN NOT NULL DEFAULT 0, position INTEGER NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE UNIQUE INDEX UNIQ_98F8BD319B349F918A90ABA9 ON custom_field (record, key)');
        $this->addSql(
            'CREATE TABLE form_table_view (id VARCHAR(36) NOT NULL, form_id VARCHAR(36) NOT NULL, name VARCHAR(80) NOT NULL, filter CLOB NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_BDECA7D15FF69B7D FOREIGN KEY (form_id) REFERENCES form (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_BDECA7D15FF69B7D ON form_table_view (form_id)');
        $this->addSql("ALTER TABLE form ADD COLUMN sites CLOB NOT NULL DEFAULT '[]'");
        $this->addSql('ALTER TABLE business ADD COLUMN shortens_addresses BOOLEAN NOT NULL DEFAULT 1');
        $this->addSql('ALTER TABLE business ADD COLUMN unfinished_minutes INTEGER NOT NULL DEFAULT 30');
        $this->addSql("ALTER TABLE submission ADD COLUMN page VARCHAR(500) NOT NULL DEFAULT ''");
        $this->addSql("ALTER TABLE submission ADD COLUMN campaign CLOB NOT NULL DEFAULT '{}'");
        $this->addSql("ALTER TABLE submission ADD COLUMN network_address VARCHAR(64) NOT NULL DEFAULT ''");
        $this->addSql('ALTER TABLE submission ADD COLUMN began_at DATETIME DEFAULT NULL');
        $this->addSql('ALTER TABLE submission ADD COLUMN continue_by DATETIME DEFAULT NULL');
        $this->addSql('ALTER TABLE submission ADD COLUMN continues_id VARCHAR(36) DEFAULT NULL REFERENCES submission (id)');
        $this->addSql('ALTER TABLE submission ADD COLUMN form_id VARCHAR(36) DEFAULT NULL REFERENCES form (id)');
        $this->addSql('UPDATE submission SET form_id = (SELECT v.form_id FROM form_version v WHERE v.id = submission.form_version_id)');
        $this->addSql('CREATE INDEX IDX_DB055AF35FF69B7D6D4F7F99BF396750 ON submission (form_id, received_at, id)');
        $this->addSql('CREATE INDEX IDX_DB055AF35FF69B7DA393D2FB6D4F7F99BF396750 ON submission (form_id, state, received_at, id)');
        $this->addSql('CREATE INDEX IDX_DB055AF35FF69B7D ON submission (form_id)');
        $this->addSql('CREATE INDEX IDX_DB055AF37BCE4744 ON submission (continues_id)');
    }
}

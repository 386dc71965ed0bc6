<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** Quotes in revisions, what was signed, the price list, how the business quotes. */
final class Version20261127050000 extends Migration
{
    public function getDescription(): string
    {
        return 'Quotes';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            "CREATE TABLE quote (id VARCHAR(36) NOT NULL, version INTEGER DEFAULT 1 NOT NULL, state VARCHAR(10) NOT NULL, asset_id VARCHAR(36) DEFAULT NULL, issued_on DATE DEFAULT NULL, sent_at DATETIME DEFAULT NULL, opened_at DATETIME DEFAULT NULL, opened_times INTEGER DEFAULT 0 NOT NULL, answered_at DATETIME DEFAULT NULL, reason VARCHAR(500) DEFAULT '' NOT NULL, nudged_at DATETIME DEFAULT NULL, questions CLOB DEFAULT '[]' NOT NULL, total VARCHAR(24) DEFAULT '0' NOT NULL, to_price INTEGER DEFAULT 0 NOT NULL, content CLOB NOT NULL, number VARCHAR(20) NOT NULL, revision INTEGER NOT NULL, client_id VARCHAR(36) NOT NULL, project_id VARCHAR(36) DEFAULT NULL, submission_id VARCHAR(36) DEFAULT NULL, lead_id VARCHAR(36) NOT NULL, currency VARCHAR(3) NOT NULL, gross BOOLEAN NOT NULL, valid_until DATE NOT NULL, made_at DATETIME NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_quote_asset FOREIGN KEY (asset_id) REFERENCES asset (id) NOT DEFERRABLE INITIALLY IMMEDIATE, CONSTRAINT FK_quote_client FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE, CONSTRAINT FK_quote_project FOREIGN KEY (project_id) REFERENCES project (id) NOT DEFERRABLE INITIALLY IMMEDIATE, CONSTRAINT FK_quote_lead FOREIGN KEY (lead_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE)",
        );
        $this->addSql('CREATE UNIQUE INDEX quote_number ON quote (number, revision)');
        $this->addSql('CREATE INDEX quote_state ON quote (state, valid_until)');
        foreach (['5DA1941' => 'asset', '19EB6921' => 'client', '166D1F9C' => 'project', '55458D' => 'lead'] as $mark => $of) {
            $this->addSql("CREATE INDEX IDX_6B71CBF4$mark ON quote ({$of}_id)");
        }
        $this->addSql(
            'CREATE TABLE signed (record_id VARCHAR(36) NOT NULL, document CLOB NOT NULL, sha256 VARCHAR(64) NOT NULL, name VARCHAR(200) NOT NULL, drawing CLOB NOT NULL, at DATETIME NOT NULL, address VARCHAR(45) NOT NULL, agent VARCHAR(300) NOT NULL, PRIMARY KEY (record_id))',
        );
        $this->addSql(
            "CREATE TABLE agreement (id VARCHAR(36) NOT NULL, version INTEGER DEFAULT 1 NOT NULL, state VARCHAR(10) NOT NULL, opened_at DATETIME DEFAULT NULL, answered_at DATETIME DEFAULT NULL, reason VARCHAR(500) DEFAULT '' NOT NULL, client_id VARCHAR(36) NOT NULL, project_id VARCHAR(36) NOT NULL, title VARCHAR(200) NOT NULL, text CLOB NOT NULL, sent_at DATETIME NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_agreement_client FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE, CONSTRAINT FK_agreement_project FOREIGN KEY (project_id) REFERENCES project (id) NOT DEFERRABLE INITIALLY IMMEDIATE)",
        );
        $this->addSql('CREATE INDEX IDX_2E655A2419EB6921 ON agreement (client_id)');
        $this->addSql('CREATE INDEX IDX_2E655A24166D1F9C ON agreement (project_id)');
        $this->addSql(
            'CREATE TABLE price_item (id VARCHAR(36) NOT NULL, version INTEGER DEFAULT 1 NOT NULL, name VARCHAR(200) NOT NULL, text CLOB NOT NULL, unit VARCHAR(3) NOT NULL, price VARCHAR(24) DEFAULT NULL, category VARCHAR(2) NOT NULL, rate VARCHAR(12) NOT NULL, group_name VARCHAR(100) NOT NULL, effort INTEGER NOT NULL, steps CLOB NOT NULL, valid_from DATE DEFAULT NULL, valid_to DATE DEFAULT NULL, retired BOOLEAN NOT NULL, code VARCHAR(40) NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE UNIQUE INDEX UNIQ_6249D7A477153098 ON price_item (code)');
        $this->addSql(
            'CREATE TABLE quote_setup (id VARCHAR(36) NOT NULL, version INTEGER DEFAULT 1 NOT NULL, gross BOOLEAN NOT NULL, category VARCHAR(2) NOT NULL, rate VARCHAR(12) NOT NULL, valid_days INTEGER NOT NULL, nudge_days INTEGER NOT NULL, deposit VARCHAR(12) NOT NULL, terms CLOB NOT NULL, draft_stage VARCHAR(60) NOT NULL, yes_stage VARCHAR(60) NOT NULL, "rows" CLOB NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql("ALTER TABLE message ADD COLUMN paper VARCHAR(36) DEFAULT '' NOT NULL");
    }
}

<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** Handling rules, and what they did. */
final class Version20261125040000 extends Migration
{
    public function getDescription(): string
    {
        return 'Handling rules, their uses, look-backs; decisions on plans';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE handling_rule (id VARCHAR(36) NOT NULL, version INTEGER NOT NULL DEFAULT 1, position INTEGER NOT NULL, name VARCHAR(100) NOT NULL, why VARCHAR(500) NOT NULL, enabled BOOLEAN NOT NULL, retired BOOLEAN NOT NULL, definition CLOB NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX IDX_54899C52462CE4F5 ON handling_rule (position)');
        $this->addSql(
            'CREATE TABLE rule_use (id VARCHAR(36) NOT NULL, rule_id VARCHAR(36) NOT NULL, submission_id VARCHAR(36) NOT NULL, at DATETIME NOT NULL, failure VARCHAR(300) NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX IDX_E37D8BB9744E03516A57FD3C ON rule_use (rule_id, at)');
        $this->addSql(
            'CREATE TABLE look_back (id VARCHAR(36) NOT NULL, state VARCHAR(10) NOT NULL, done INTEGER NOT NULL, touched INTEGER NOT NULL, examples CLOB NOT NULL, rule CLOB NOT NULL, days INTEGER NOT NULL, total INTEGER NOT NULL, at DATETIME NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql(
            'CREATE TABLE client_import (id VARCHAR(36) NOT NULL, state VARCHAR(10) NOT NULL, fields CLOB NOT NULL, counts CLOB NOT NULL, told CLOB NOT NULL, total INTEGER NOT NULL, done INTEGER NOT NULL, change_id VARCHAR(36) DEFAULT NULL, file_name VARCHAR(200) NOT NULL, heads CLOB NOT NULL, at DATETIME NOT NULL, staff_id VARCHAR(36) NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_C8E885AED4D57CD FOREIGN KEY (staff_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_C8E885AED4D57CD ON client_import (staff_id)');
        $this->addSql(
            'CREATE TABLE plan_decision (submission_id VARCHAR(36) NOT NULL, version INTEGER NOT NULL, data CLOB NOT NULL, staff_id VARCHAR(36) NOT NULL, at DATETIME NOT NULL, PRIMARY KEY (submission_id))',
        );
    }
}

<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** The tables of the first slice: staff, setup, forms, submissions, records, messages, journal, queue. */
final class Version20261125000000 extends Migration
{
    public function getDescription(): string
    {
        return 'The tables of the first slice';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(<<<'SQL'
            CREATE TABLE appointment (
              id VARCHAR(36) NOT NULL,
              title VARCHAR(100) NOT NULL,
              place VARCHAR(100) NOT NULL,
              starts_at DATETIME NOT NULL,
              ends_at DATETIME NOT NULL,
              confirmed BOOLEAN NOT NULL,
              staff_id VARCHAR(36) NOT NULL,
              project_id VARCHAR(36) DEFAULT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_FE38F844D4D57CD FOREIGN KEY (staff_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_FE38F844166D1F9C FOREIGN KEY (project_id) REFERENCES project (id) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql('CREATE INDEX IDX_FE38F844D4D57CD ON appointment (staff_id)');
        $this->addSql('CREATE INDEX IDX_FE38F844166D1F9C ON appointment (project_id)');
        $this->addSql('CREATE INDEX IDX_FE38F84455A0507C ON appointment (starts_at)');
        $this->addSql(<<<'SQL'
            CREATE TABLE asset (
              id VARCHAR(36) NOT NULL,
              description VARCHAR(300) NOT NULL,
              place VARCHAR(300) NOT NULL,
              client_id VARCHAR(36) NOT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_2AF5A5C19EB6921 FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql('CREATE INDEX IDX_2AF5A5C19EB6921 ON asset (client_id)');
        $this->addSql(<<<'SQL'
            CREATE TABLE attachment (
              id VARCHAR(36) NOT NULL,
              name VARCHAR(200) NOT NULL,
              question_key VARCHAR(40) NOT NULL,
              position INTEGER NOT NULL,
              client_id VARCHAR(36) DEFAULT NULL,
              project_id VARCHAR(36) DEFAULT NULL,
              asset_id VARCHAR(36) DEFAULT NULL,
              file_id VARCHAR(64) NOT NULL,
              submission_id VARCHAR(36) DEFAULT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_795FD9BB19EB6921 FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_795FD9BB166D1F9C FOREIGN KEY (project_id) REFERENCES project (id) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_795FD9BB5DA1941 FOREIGN KEY (asset_id) REFERENCES asset (id) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_795FD9BB93CB796C FOREIGN KEY (file_id) REFERENCES stored_file (sha256) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_795FD9BBE1FD4933 FOREIGN KEY (submission_id) REFERENCES submission (id) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql('CREATE INDEX IDX_795FD9BB19EB6921 ON attachment (client_id)');
        $this->addSql('CREATE INDEX IDX_795FD9BB166D1F9C ON attachment (project_id)');
        $this->addSql('CREATE INDEX IDX_795FD9BB5DA1941 ON attachment (asset_id)');
        $this->addSql('CREATE INDEX IDX_795FD9BB93CB796C ON attachment (file_id)');
        $this->addSql('CREATE INDEX IDX_795FD9BBE1FD4933 ON attachment (submission_id)');
        $this->addSql(<<<'SQL'
            CREATE TABLE business (
              id VARCHAR(36) NOT NULL,
              name VARCHAR(200) NOT NULL,
              email VARCHAR(254) NOT NULL,
              phone VARCHAR(20) NOT NULL,
              address VARCHAR(300) NOT NULL,
              region VARCHAR(2) NOT NULL,
              time_zone VARCHAR(60) NOT NULL,
              currency VARCHAR(3) NOT NULL,
              asset_word VARCHAR(40) NOT NULL,
              drawing VARCHAR(40) NOT NULL,
              hours CLOB NOT NULL,
              hours_text VARCHAR(100) NOT NULL,
              coordinator_id VARCHAR(36) NOT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_8D36E38E7877946 FOREIGN KEY (coordinator_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql('CREATE INDEX IDX_8D36E38E7877946 ON business (coordinator_id)');
        $this->addSql(<<<'SQL'
            CREATE TABLE change_set (
              id VARCHAR(36) NOT NULL,
              undone_at DATETIME DEFAULT NULL,
              kind VARCHAR(255) NOT NULL,
              words VARCHAR(300) NOT NULL,
              at DATETIME NOT NULL,
              submission_id VARCHAR(36) DEFAULT NULL,
              record_kind VARCHAR(20) DEFAULT NULL,
              record_id VARCHAR(36) DEFAULT NULL,
              record_label VARCHAR(300) NOT NULL,
              staff_id VARCHAR(36) DEFAULT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_373147C1D4D57CD FOREIGN KEY (staff_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql('CREATE INDEX IDX_373147C1D4D57CD ON change_set (staff_id)');
        $this->addSql('CREATE INDEX IDX_373147C1D4D57CD6A57FD3C ON change_set (staff_id, at)');
        $this->addSql('CREATE INDEX IDX_373147C1E1FD4933 ON change_set (submission_id)');
        $this->addSql(<<<'SQL'
            CREATE TABLE checklist_template (
              id VARCHAR(36) NOT NULL,
              name VARCHAR(100) NOT NULL,
              is_base BOOLEAN NOT NULL,
              items CLOB NOT NULL,
              PRIMARY KEY (id)
            )
        SQL);
        $this->addSql(<<<'SQL'
            CREATE TABLE client (
              id VARCHAR(36) NOT NULL,
              version INTEGER DEFAULT 1 NOT NULL,
              sort_name VARCHAR(400) NOT NULL,
              given_name VARCHAR(200) NOT NULL,
              family_name VARCHAR(200) NOT NULL,
              address VARCHAR(300) NOT NULL,
              since DATE NOT NULL,
              PRIMARY KEY (id)
            )
        SQL);
        $this->addSql('CREATE INDEX IDX_C744045588C2E7CBF396750 ON client (sort_name, id)');
        $this->addSql(<<<'SQL'
            CREATE TABLE closure (
              id VARCHAR(36) NOT NULL,
              day DATE NOT NULL,
              name VARCHAR(100) NOT NULL,
              PRIMARY KEY (id)
            )
        SQL);
        $this->addSql('CREATE UNIQUE INDEX UNIQ_48078DD1E5A02990 ON closure (day)');
        $this->addSql(<<<'SQL'
            CREATE TABLE contact_point (
              id VARCHAR(36) NOT NULL,
              kind VARCHAR(10) NOT NULL,
              value VARCHAR(254) NOT NULL,
              match_key VARCHAR(254) NOT NULL,
              client_id VARCHAR(36) NOT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_9A8FE32B19EB6921 FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql('CREATE INDEX IDX_9A8FE32B19EB6921 ON contact_point (client_id)');
        $this->addSql('CREATE INDEX IDX_9A8FE32B3BC4BCD98EDE0A77 ON contact_point (kind, match_key)');
        $this->addSql(<<<'SQL'
            CREATE TABLE form (
              id VARCHAR(36) NOT NULL,
              slug VARCHAR(60) NOT NULL,
              title VARCHAR(200) NOT NULL,
              published_id VARCHAR(36) DEFAULT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_5288FD4F35BA678D FOREIGN KEY (published_id) REFERENCES form_version (id) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql('CREATE UNIQUE INDEX UNIQ_5288FD4F989D9B62 ON form (slug)');
        $this->addSql('CREATE INDEX IDX_5288FD4F35BA678D ON form (published_id)');
        $this->addSql(<<<'SQL'
            CREATE TABLE form_version (
              id VARCHAR(36) NOT NULL,
              number INTEGER NOT NULL,
              definition CLOB NOT NULL,
              published_at DATETIME NOT NULL,
              form_id VARCHAR(36) NOT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_8E70B3F85FF69B7D FOREIGN KEY (form_id) REFERENCES form (id) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql('CREATE INDEX IDX_8E70B3F85FF69B7D ON form_version (form_id)');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_8E70B3F85FF69B7D96901F54 ON form_version (form_id, number)');
        $this->addSql(<<<'SQL'
            CREATE TABLE journal_entry (
              id VARCHAR(36) NOT NULL,
              "action" VARCHAR(255) NOT NULL,
              record_class VARCHAR(255) NOT NULL,
              record_kind VARCHAR(20) NOT NULL,
              record_id VARCHAR(36) NOT NULL,
              record_label VARCHAR(300) NOT NULL,
              client_id VARCHAR(36) DEFAULT NULL,
              project_id VARCHAR(36) DEFAULT NULL,
              "before" CLOB NOT NULL,
              "after" CLOB NOT NULL,
              change_id VARCHAR(36) NOT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_C8FAAE5A213C8BF4 FOREIGN KEY (change_id) REFERENCES change_set (id) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql('CREATE INDEX IDX_C8FAAE5A213C8BF4 ON journal_entry (change_id)');
        $this->addSql('CREATE INDEX IDX_C8FAAE5A4DFD750CBF396750 ON journal_entry (record_id, id)');
        $this->addSql('CREATE INDEX IDX_C8FAAE5A19EB6921BF396750 ON journal_entry (client_id, id)');
        $this->addSql('CREATE INDEX IDX_C8FAAE5A166D1F9CBF396750 ON journal_entry (project_id, id)');
        $this->addSql(<<<'SQL'
            CREATE TABLE message (
              id VARCHAR(36) NOT NULL,
              state VARCHAR(10) NOT NULL,
              sent_at DATETIME DEFAULT NULL,
              failure VARCHAR(500) NOT NULL,
              kind VARCHAR(20) NOT NULL,
              to_address VARCHAR(254) NOT NULL,
              to_name VARCHAR(200) NOT NULL,
              from_address VARCHAR(254) NOT NULL,
              from_name VARCHAR(200) NOT NULL,
              subject VARCHAR(200) NOT NULL,
              text CLOB NOT NULL,
              template VARCHAR(40) NOT NULL,
              submission_id VARCHAR(36) DEFAULT NULL,
              queued_at DATETIME NOT NULL,
              client_id VARCHAR(36) DEFAULT NULL,
              project_id VARCHAR(36) DEFAULT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_B6BD307F19EB6921 FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_B6BD307F166D1F9C FOREIGN KEY (project_id) REFERENCES project (id) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql('CREATE INDEX IDX_B6BD307F19EB6921 ON message (client_id)');
        $this->addSql('CREATE INDEX IDX_B6BD307F166D1F9C ON message (project_id)');
        $this->addSql('CREATE INDEX IDX_B6BD307FCEF8BDDBBF396750 ON message (queued_at, id)');
        $this->addSql('CREATE INDEX IDX_B6BD307FE1FD4933 ON message (submission_id)');
        $this->addSql(<<<'SQL'
            CREATE TABLE message_template (
              id VARCHAR(36) NOT NULL,
              code VARCHAR(40) NOT NULL,
              name VARCHAR(100) NOT NULL,
              subject VARCHAR(200) NOT NULL,
              body CLOB NOT NULL,
              PRIMARY KEY (id)
            )
        SQL);
        $this->addSql('CREATE UNIQUE INDEX UNIQ_9E46DB9277153098 ON message_template (code)');
        $this->addSql(<<<'SQL'
            CREATE TABLE project (
              id VARCHAR(36) NOT NULL,
              version INTEGER DEFAULT 1 NOT NULL,
              submission_id VARCHAR(36) DEFAULT NULL,
              number VARCHAR(20) NOT NULL,
              title VARCHAR(200) NOT NULL,
              stage VARCHAR(40) NOT NULL,
              ready_by DATE DEFAULT NULL,
              notes CLOB NOT NULL,
              opened_at DATETIME NOT NULL,
              asset_id VARCHAR(36) DEFAULT NULL,
              client_id VARCHAR(36) NOT NULL,
              lead_id VARCHAR(36) NOT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_2FB3D0EE5DA1941 FOREIGN KEY (asset_id) REFERENCES asset (id) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_2FB3D0EE19EB6921 FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_2FB3D0EE55458D FOREIGN KEY (lead_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql('CREATE UNIQUE INDEX UNIQ_2FB3D0EE96901F54 ON project (number)');
        $this->addSql('CREATE INDEX IDX_2FB3D0EE5DA1941 ON project (asset_id)');
        $this->addSql('CREATE INDEX IDX_2FB3D0EE19EB6921 ON project (client_id)');
        $this->addSql('CREATE INDEX IDX_2FB3D0EE55458D ON project (lead_id)');
        $this->addSql('CREATE INDEX IDX_2FB3D0EE8B0BD804BF396750 ON project (opened_at, id)');
        $this->addSql(<<<'SQL'
            CREATE TABLE service (
              id VARCHAR(36) NOT NULL,
              code VARCHAR(40) NOT NULL,
              name VARCHAR(100) NOT NULL,
              rule VARCHAR(100) NOT NULL,
              lead_id VARCHAR(36) NOT NULL,
              add_on_id VARCHAR(36) DEFAULT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_E19D9AD255458D FOREIGN KEY (lead_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_E19D9AD2220A8152 FOREIGN KEY (add_on_id) REFERENCES checklist_template (id) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql('CREATE UNIQUE INDEX UNIQ_E19D9AD277153098 ON service (code)');
        $this->addSql('CREATE INDEX IDX_E19D9AD255458D ON service (lead_id)');
        $this->addSql('CREATE INDEX IDX_E19D9AD2220A8152 ON service (add_on_id)');
        $this->addSql(<<<'SQL'
            CREATE TABLE staff (
              id VARCHAR(36) NOT NULL,
              password_hash VARCHAR(255) NOT NULL,
              active BOOLEAN NOT NULL,
              email VARCHAR(254) NOT NULL,
              name VARCHAR(200) NOT NULL,
              initials VARCHAR(3) NOT NULL,
              role VARCHAR(255) NOT NULL,
              PRIMARY KEY (id)
            )
        SQL);
        $this->addSql('CREATE UNIQUE INDEX UNIQ_426EF392E7927C74 ON staff (email)');
        $this->addSql(<<<'SQL'
            CREATE TABLE stage (
              id VARCHAR(36) NOT NULL,
              position INTEGER NOT NULL,
              name VARCHAR(40) NOT NULL,
              PRIMARY KEY (id)
            )
        SQL);
        $this->addSql('CREATE UNIQUE INDEX UNIQ_C27C93695E237E06 ON stage (name)');
        $this->addSql(<<<'SQL'
            CREATE TABLE stored_file (
              sha256 VARCHAR(64) NOT NULL,
              type VARCHAR(100) NOT NULL,
              size INTEGER NOT NULL,
              PRIMARY KEY (sha256)
            )
        SQL);
        $this->addSql(<<<'SQL'
            CREATE TABLE submission (
              id VARCHAR(36) NOT NULL,
              version INTEGER DEFAULT 1 NOT NULL,
              state VARCHAR(20) NOT NULL,
              aside_reason VARCHAR(20) NOT NULL,
              aside_note VARCHAR(500) NOT NULL,
              decided_at DATETIME DEFAULT NULL,
              number VARCHAR(20) NOT NULL,
              answers CLOB NOT NULL,
              name VARCHAR(200) NOT NULL,
              to_decide INTEGER NOT NULL,
              channel VARCHAR(20) NOT NULL,
              received_at DATETIME NOT NULL,
              due_at DATETIME NOT NULL,
              idempotency_key VARCHAR(64) DEFAULT NULL,
              decided_by_id VARCHAR(36) DEFAULT NULL,
              client_id VARCHAR(36) DEFAULT NULL,
              project_id VARCHAR(36) DEFAULT NULL,
              form_version_id VARCHAR(36) NOT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_DB055AF3E26B496B FOREIGN KEY (decided_by_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_DB055AF319EB6921 FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_DB055AF3166D1F9C FOREIGN KEY (project_id) REFERENCES project (id) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_DB055AF3427B6B91 FOREIGN KEY (form_version_id) REFERENCES form_version (id) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql('CREATE UNIQUE INDEX UNIQ_DB055AF396901F54 ON submission (number)');
        $this->addSql('CREATE INDEX IDX_DB055AF3E26B496B ON submission (decided_by_id)');
        $this->addSql('CREATE INDEX IDX_DB055AF319EB6921 ON submission (client_id)');
        $this->addSql('CREATE INDEX IDX_DB055AF3166D1F9C ON submission (project_id)');
        $this->addSql('CREATE INDEX IDX_DB055AF3427B6B91 ON submission (form_version_id)');
        $this->addSql('CREATE INDEX IDX_DB055AF3A393D2FB5303022FBF396750 ON submission (state, due_at, id)');
        $this->addSql('CREATE INDEX IDX_DB055AF3A393D2FB6D4F7F99BF396750 ON submission (state, received_at, id)');
        $this->addSql('CREATE INDEX IDX_DB055AF36D4F7F99 ON submission (received_at)');
        $this->addSql(<<<'SQL'
            CREATE UNIQUE INDEX UNIQ_DB055AF3427B6B917FD1C147 ON submission (
              form_version_id, idempotency_key
            )
        SQL);
        $this->addSql(<<<'SQL'
            CREATE TABLE task (
              id VARCHAR(36) NOT NULL,
              version INTEGER DEFAULT 1 NOT NULL,
              finished_at DATETIME DEFAULT NULL,
              position INTEGER NOT NULL,
              name VARCHAR(200) NOT NULL,
              due DATE NOT NULL,
              waits_for CLOB NOT NULL,
              checklist VARCHAR(100) NOT NULL,
              project_id VARCHAR(36) NOT NULL,
              assignee_id VARCHAR(36) NOT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_527EDB25166D1F9C FOREIGN KEY (project_id) REFERENCES project (id) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_527EDB2559EC7D60 FOREIGN KEY (assignee_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql('CREATE INDEX IDX_527EDB25166D1F9C ON task (project_id)');
        $this->addSql('CREATE INDEX IDX_527EDB2559EC7D60 ON task (assignee_id)');
        $this->addSql('CREATE INDEX IDX_527EDB25166D1F9C462CE4F5 ON task (project_id, position)');
        $this->addSql('CREATE INDEX IDX_527EDB2535CE7A2DDF0FA28ABF396750 ON task (finished_at, due, id)');
        $this->addSql(<<<'SQL'
            CREATE TABLE upload (
              id VARCHAR(32) NOT NULL,
              name VARCHAR(200) NOT NULL,
              received_at DATETIME NOT NULL,
              file_id VARCHAR(64) NOT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_17BDE61F93CB796C FOREIGN KEY (file_id) REFERENCES stored_file (sha256) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql('CREATE INDEX IDX_17BDE61F93CB796C ON upload (file_id)');
        $this->addSql('CREATE INDEX IDX_17BDE61F6D4F7F99 ON upload (received_at)');
        $this->addSql('CREATE TABLE counter (letter VARCHAR(1) NOT NULL PRIMARY KEY, value INTEGER NOT NULL)');
        $this->addSql(
            'CREATE TABLE queued (id INTEGER PRIMARY KEY AUTOINCREMENT, queue VARCHAR(40) NOT NULL, body CLOB NOT NULL, headers CLOB NOT NULL, queued_at INTEGER NOT NULL, available_at INTEGER NOT NULL, taken_at INTEGER DEFAULT NULL)',
        );
        $this->addSql('CREATE INDEX queued_ready ON queued (queue, available_at, id)');
    }
}

<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** Appointments of types, for clients, with what is kept clear; times that are held; what was told of each; roads, resources, busy times. */
final class Version20261127030000 extends Migration
{
    public function getDescription(): string
    {
        return 'The diary';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(<<<'SQL'
            CREATE TABLE visit_type (
              id VARCHAR(36) NOT NULL,
              version INTEGER DEFAULT 1 NOT NULL,
              slug VARCHAR(60) NOT NULL,
              name VARCHAR(100) NOT NULL,
              live BOOLEAN NOT NULL,
              position INTEGER NOT NULL,
              settings CLOB NOT NULL,
              PRIMARY KEY (id)
            )
        SQL);
        $this->addSql('CREATE UNIQUE INDEX UNIQ_5386AAEB989D9B62 ON visit_type (slug)');
        $this->addSql(<<<'SQL'
            CREATE TABLE appointment_new (
              id VARCHAR(36) NOT NULL,
              version INTEGER DEFAULT 1 NOT NULL,
              title VARCHAR(100) NOT NULL,
              place VARCHAR(300) NOT NULL,
              staff_id VARCHAR(36) NOT NULL,
              also CLOB DEFAULT '[]' NOT NULL,
              resources CLOB DEFAULT '[]' NOT NULL,
              type_id VARCHAR(36) DEFAULT NULL,
              client_id VARCHAR(36) DEFAULT NULL,
              project_id VARCHAR(36) DEFAULT NULL,
              submission_id VARCHAR(36) DEFAULT NULL,
              starts_at DATETIME NOT NULL,
              ends_at DATETIME NOT NULL,
              clear_before INTEGER DEFAULT 0 NOT NULL,
              clear_after INTEGER DEFAULT 0 NOT NULL,
              on_the_road BOOLEAN DEFAULT 0 NOT NULL,
              state VARCHAR(10) NOT NULL,
              held_until DATETIME DEFAULT NULL,
              placed_at DATETIME NOT NULL,
              zone VARCHAR(60) DEFAULT '' NOT NULL,
              notes CLOB DEFAULT '' NOT NULL,
              wish CLOB DEFAULT '' NOT NULL,
              series_id VARCHAR(36) DEFAULT NULL,
              uid VARCHAR(200) DEFAULT '' NOT NULL,
              who VARCHAR(200) DEFAULT '' NOT NULL,
              email VARCHAR(254) DEFAULT '' NOT NULL,
              PRIMARY KEY (id),
              CONSTRAINT FK_FE38F844D4D57CD FOREIGN KEY (staff_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_FE38F844C54C8C93 FOREIGN KEY (type_id) REFERENCES visit_type (id) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_FE38F84419EB6921 FOREIGN KEY (client_id) REFERENCES client (id) NOT DEFERRABLE INITIALLY IMMEDIATE,
              CONSTRAINT FK_FE38F844166D1F9C FOREIGN KEY (project_id) REFERENCES project (id) NOT DEFERRABLE INITIALLY IMMEDIATE
            )
        SQL);
        $this->addSql(
            "INSERT INTO appointment_new (id, title, place, staff_id, project_id, client_id, starts_at, ends_at, state, placed_at) SELECT a.id, a.title, a.place, a.staff_id, a.project_id, p.client_id, a.starts_at, a.ends_at, CASE WHEN a.confirmed THEN 'booked' ELSE 'offered' END, a.starts_at FROM appointment a LEFT JOIN project p ON p.id = a.project_id",
        );
        $this->addSql('DROP TABLE appointment');
        $this->addSql('ALTER TABLE appointment_new RENAME TO appointment');
        $this->addSql('CREATE INDEX IDX_FE38F844D4D57CD ON appointment (staff_id)');
        $this->addSql('CREATE INDEX IDX_FE38F844C54C8C93 ON appointment (type_id)');
        $this->addSql('CREATE INDEX IDX_FE38F84419EB6921 ON appointment (client_id)');
        $this->addSql('CREATE INDEX IDX_FE38F844166D1F9C ON appointment (project_id)');
        $this->addSql('CREATE INDEX appointment_starts ON appointment (starts_at)');
        $this->addSql('CREATE INDEX appointment_submission ON appointment (submission_id)');
        $this->addSql('CREATE INDEX appointment_series ON appointment (series_id)');
        $this->addSql('CREATE INDEX appointment_uid ON appointment (uid)');
        $this->addSql(
            'CREATE TABLE time_held (id VARCHAR(36) NOT NULL, begun_by VARCHAR(64) NOT NULL, type_id VARCHAR(36) NOT NULL, staff CLOB NOT NULL, resources CLOB NOT NULL, place VARCHAR(300) NOT NULL, starts_at DATETIME NOT NULL, ends_at DATETIME NOT NULL, clear_before INTEGER NOT NULL, clear_after INTEGER NOT NULL, until DATETIME NOT NULL, extended INTEGER NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_time_held_type FOREIGN KEY (type_id) REFERENCES visit_type (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE UNIQUE INDEX UNIQ_BFE081FCC8AA62B0 ON time_held (begun_by)');
        $this->addSql('CREATE INDEX IDX_BFE081FCC54C8C93 ON time_held (type_id)');
        $this->addSql('CREATE INDEX time_held_until ON time_held (until)');
        $this->addSql(
            'CREATE TABLE appointment_told (appointment_id VARCHAR(36) NOT NULL, state VARCHAR(10) NOT NULL, digest VARCHAR(64) NOT NULL, sequence INTEGER NOT NULL, starts_at DATETIME NOT NULL, PRIMARY KEY (appointment_id))',
        );
        $this->addSql(
            'CREATE TABLE reminder_sent (appointment_id VARCHAR(36) NOT NULL, minutes INTEGER NOT NULL, starts_at VARCHAR(20) NOT NULL, PRIMARY KEY (appointment_id, minutes, starts_at))',
        );
        $this->addSql('CREATE TABLE road (id VARCHAR(36) NOT NULL, "from" VARCHAR(60) NOT NULL, "to" VARCHAR(60) NOT NULL, minutes INTEGER NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_road ON road ("from", "to")');
        $this->addSql('CREATE TABLE resource (id VARCHAR(36) NOT NULL, name VARCHAR(60) NOT NULL, gone BOOLEAN DEFAULT 0 NOT NULL, PRIMARY KEY (id))');
        $this->addSql(
            'CREATE TABLE work_day (id VARCHAR(36) NOT NULL, staff_id VARCHAR(36) NOT NULL, day DATE NOT NULL, spans CLOB NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_work_day_staff FOREIGN KEY (staff_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE UNIQUE INDEX UNIQ_work_day ON work_day (staff_id, day)');
        $this->addSql('CREATE INDEX IDX_9FCE7E0CD4D57CD ON work_day (staff_id)');
        $this->addSql(
            "CREATE TABLE busy_calendar (id VARCHAR(36) NOT NULL, staff_id VARCHAR(36) NOT NULL, address VARCHAR(500) NOT NULL, read_at DATETIME DEFAULT NULL, trouble VARCHAR(300) DEFAULT '' NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_busy_calendar_staff FOREIGN KEY (staff_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE)",
        );
        $this->addSql('CREATE INDEX IDX_16CEB55BD4D57CD ON busy_calendar (staff_id)');
        $this->addSql(
            'CREATE TABLE busy_time (id VARCHAR(36) NOT NULL, calendar_id VARCHAR(36) NOT NULL, staff_id VARCHAR(36) NOT NULL, starts_at DATETIME NOT NULL, ends_at DATETIME NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_busy_time_calendar FOREIGN KEY (calendar_id) REFERENCES busy_calendar (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_7512AB84A40A2C8 ON busy_time (calendar_id)');
        $this->addSql('CREATE INDEX busy_time_starts ON busy_time (staff_id, starts_at)');
        $this->addSql(
            'CREATE TABLE calendar_feed (token VARCHAR(64) NOT NULL, staff_id VARCHAR(36) DEFAULT NULL, made_at DATETIME NOT NULL, PRIMARY KEY (token), CONSTRAINT FK_calendar_feed_staff FOREIGN KEY (staff_id) REFERENCES staff (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_71D6C7FFD4D57CD ON calendar_feed (staff_id)');
        $this->addSql(
            "CREATE TABLE booking_page (id VARCHAR(36) NOT NULL, version INTEGER DEFAULT 1 NOT NULL, slug VARCHAR(60) NOT NULL, title VARCHAR(120) NOT NULL, intro VARCHAR(500) NOT NULL, types CLOB NOT NULL, form VARCHAR(60) NOT NULL, live BOOLEAN NOT NULL, sites CLOB DEFAULT '[]' NOT NULL, PRIMARY KEY (id))",
        );
        $this->addSql('CREATE UNIQUE INDEX UNIQ_C9B946E989D9B62 ON booking_page (slug)');
        $this->addSql(
            "CREATE TABLE booking_start (id VARCHAR(64) NOT NULL, page VARCHAR(60) NOT NULL, submission_id VARCHAR(36) DEFAULT NULL, type VARCHAR(60) DEFAULT '' NOT NULL, begun_at DATETIME NOT NULL, offers INTEGER DEFAULT 0 NOT NULL, step VARCHAR(10) NOT NULL, appointment_id VARCHAR(36) DEFAULT NULL, PRIMARY KEY (id))",
        );
        $this->addSql('CREATE INDEX booking_start_page ON booking_start (page, begun_at)');
        $this->addSql('ALTER TABLE business ADD COLUMN unknown_road INTEGER DEFAULT 20 NOT NULL');
        $this->addSql("ALTER TABLE message ADD COLUMN calendar CLOB DEFAULT '' NOT NULL");
    }
}

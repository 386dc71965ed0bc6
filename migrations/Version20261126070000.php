<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** A word that is another one whenever anything of the business's settings changes, by whatever way. */
final class Version20261126070000 extends Migration
{
    private const SETTINGS = ['business', 'closure', 'stage', 'service', 'checklist_template', 'custom_field', 'staff', 'handling_rule', 'message_template'];

    public function getDescription(): string
    {
        return 'The version of the settings';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE setup_version (version VARCHAR(32) NOT NULL)');
        $this->addSql('INSERT INTO setup_version (version) VALUES (lower(hex(randomblob(16))))');
        foreach (self::SETTINGS as $table) {
            foreach (['INSERT', 'UPDATE', 'DELETE'] as $event) {
                // By chance, not by counting: what was rolled back must not come again as something else.
                $this->addSql(
                    "CREATE TRIGGER setup_version_{$table}_".strtolower($event)." AFTER $event ON $table BEGIN UPDATE setup_version SET version = lower(hex(randomblob(16))); END",
                );
            }
        }
    }
}

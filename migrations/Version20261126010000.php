<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What a sending said is kept with its key. */
final class Version20261126010000 extends Migration
{
    public function getDescription(): string
    {
        return 'The digest of the answers that came with a key';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE submission ADD COLUMN digest VARCHAR(64) DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE message ADD COLUMN says VARCHAR(32) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE message ADD COLUMN leaves_at DATETIME DEFAULT NULL');
        $line = ' || char(10) || char(10) || ';
        foreach ([
            [
                'a0',
                'added',
                'Added to a project',
                '{{client}} wrote again: {{project}}',
                "'Hello {{first_name}},'$line'{{client}} wrote again ({{reference}}). It was added to {{project}} {{service}}, which you lead; its tasks stay as they are.'$line'{{phone}}'$line'{{link}}'",
            ],
            [
                'a1',
                'told',
                'Told by a rule',
                '{{client}}: {{why}}',
                "'Hello {{first_name}},'$line'Why you are told: {{why}}'$line'What: {{service}} {{project}}'$line'Who: {{client}} {{phone}}'$line'Where: {{place}}'$line'{{notes}}'$line'{{link}}'",
            ],
        ] as [$id, $code, $name, $subject, $body]) {
            $this->addSql(
                "INSERT INTO message_template (id, code, name, subject, body) SELECT '0193650a-0000-7000-8000-0000000000$id', '$code', '$name', '$subject', $body WHERE EXISTS (SELECT 1 FROM message_template) AND NOT EXISTS (SELECT 1 FROM message_template WHERE code = '$code')",
            );
        }
        // Installations that are set up already get the text that new ones begin with.
        $this->addSql(
            "INSERT INTO message_template (id, code, name, subject, body) SELECT '0193650a-0000-7000-8000-0000000000c0', 'copy', 'A copy of your answers', '{{business}}: a copy of what you wrote, {{reference}}', 'Hello {{first_name}},' || char(10) || char(10) || 'this is what you wrote to us. Your number is {{reference}}.' || char(10) || char(10) || '{{answers}}' || char(10) || char(10) || 'A person reads it and answers. If something is not right, answer this mail or call {{business_phone}}.' || char(10) || char(10) || '{{business}}' WHERE EXISTS (SELECT 1 FROM message_template) AND NOT EXISTS (SELECT 1 FROM message_template WHERE code = 'copy')",
        );
    }
}

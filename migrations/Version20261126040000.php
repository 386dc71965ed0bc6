<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What waits for the worker under the name that a job had before its room was moved is carried out all the same. */
final class Version20261126040000 extends Migration
{
    private const RENAMED = [
        'Telamon\Rules\LookBackJob' => 'Telamon\RuleRuns\LookBackJob',
        'Telamon\Intake\LookAhead' => 'Telamon\Submissions\LookAhead',
        'Telamon\Intake\KeepSheet' => 'Telamon\Submissions\KeepSheet',
    ];

    public function getDescription(): string
    {
        return 'Jobs in the queue under their new names';
    }

    public function up(Schema $schema): void
    {
        foreach (self::RENAMED as $old => $new) {
            $this->addSql('UPDATE queued SET body = REPLACE(body, ?, ?)', [self::serialized($old), self::serialized($new)]);
        }
    }

    /** As PHP's serialize() begins an object, in the way that the queue keeps it. */
    private static function serialized(string $class): string
    {
        return addslashes('O:'.\strlen($class).":\"$class\":");
    }
}

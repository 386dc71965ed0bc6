<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What waits for the worker, and what the journal tells of, under the name that a class had before its room was moved. */
final class Version20261126040000 extends Migration
{
    private const JOBS = [
        'Telamon\Rules\LookBackJob' => 'Telamon\RuleRuns\LookBackJob',
        'Telamon\Intake\LookAhead' => 'Telamon\Submissions\LookAhead',
        'Telamon\Intake\KeepSheet' => 'Telamon\Submissions\KeepSheet',
    ];

    private const RECORDS = [
        'Telamon\Intake\Submission' => 'Telamon\Submissions\Submission',
        'Telamon\Intake\ArrivalNote' => 'Telamon\Submissions\ArrivalNote',
        'Telamon\Setup\OwnField' => 'Telamon\Business\OwnField',
    ];

    public function getDescription(): string
    {
        return 'Jobs and records under their new names';
    }

    public function up(Schema $schema): void
    {
        foreach (self::JOBS as $old => $new) {
            $this->addSql('UPDATE queued SET body = REPLACE(body, ?, ?)', [self::serialized($old), self::serialized($new)]);
        }
        foreach (self::RECORDS as $old => $new) {
            $this->addSql('UPDATE journal_entry SET record_class = ? WHERE record_class = ?', [$new, $old]);
        }
    }

    /** As PHP's serialize() begins an object, in the way that the queue keeps it. */
    private static function serialized(string $class): string
    {
        return addslashes('O:'.\strlen($class).":\"$class\":");
    }
}

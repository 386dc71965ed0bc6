<?php

declare(strict_types=1);

namespace Telamon\Database;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** A migration whose transaction is the one that telamon:database:update holds, and which goes one way only. */
abstract class Migration extends AbstractMigration
{
    public function isTransactional(): bool
    {
        return false;
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Restore a copy of the data folder instead.');
    }

    /** What Doctrine calls an index. @param string $kind “IDX_” or “UNIQ_” */
    protected function name(string $kind, string ...$parts): string
    {
        return substr(strtoupper($kind.implode('', array_map(static fn (string $part): string => dechex(crc32($part)), $parts))), 0, 63);
    }
}

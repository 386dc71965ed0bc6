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
}

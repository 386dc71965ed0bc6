<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** What is found says itself where it leads; filled anew once the update is through. */
final class Version20261126050000 extends Migration
{
    public function getDescription(): string
    {
        return 'Search: emptied, to be filled with whole addresses and with every contact';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('DELETE FROM search_entry');
        $this->addSql("INSERT INTO search_text (search_text) VALUES ('rebuild')");
    }
}

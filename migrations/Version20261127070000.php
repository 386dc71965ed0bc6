<?php

declare(strict_types=1);

namespace TelamonMigrations;

use Doctrine\DBAL\Schema\Schema;
use Telamon\Database\Migration;

/** Checklists that are written by people, and tasks that know what they came from. */
final class Version20261127070000 extends Migration
{
    public function getDescription(): string
    {
        return 'Checklists with versions, tasks with what they take';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE checklist_template ADD COLUMN code VARCHAR(60) DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE checklist_template ADD COLUMN purpose VARCHAR(500) DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE checklist_template ADD COLUMN joins_after VARCHAR(121) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE checklist_template ADD COLUMN version INTEGER DEFAULT 1 NOT NULL');
        $this->addSql('ALTER TABLE checklist_template ADD COLUMN retired BOOLEAN DEFAULT 0 NOT NULL');
        $this->addSql("ALTER TABLE task ADD COLUMN item VARCHAR(121) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE task ADD COLUMN list_version INTEGER DEFAULT 0 NOT NULL');
        $this->addSql('ALTER TABLE task ADD COLUMN takes INTEGER DEFAULT 1 NOT NULL');
        $this->addSql('ALTER TABLE task ADD COLUMN effort INTEGER DEFAULT 0 NOT NULL');
        $this->addSql("ALTER TABLE task ADD COLUMN brief CLOB DEFAULT '{}' NOT NULL");
        $this->addSql('ALTER TABLE task ADD COLUMN hand_dated BOOLEAN DEFAULT 0 NOT NULL');
        $this->addSql("ALTER TABLE task ADD COLUMN ticked CLOB DEFAULT '[]' NOT NULL");
        $this->addSql('CREATE INDEX IDX_527EDB251F1B251E ON task (item)');
        $this->convert();
        $this->addSql('CREATE UNIQUE INDEX UNIQ_'.strtoupper(dechex(crc32('checklist_template')).dechex(crc32('code'))).' ON checklist_template (code)');
    }

    /** Places that were numbers become the order of the items, and where a list joins. */
    private function convert(): void
    {
        /** @var list<array{id: string, name: string, is_base: int|bool, items: string}> $rows */
        $rows = $this->connection->fetchAllAssociative('SELECT id, name, is_base, items FROM checklist_template ORDER BY is_base DESC, id');
        $base = null;
        $codes = [];
        foreach ($rows as $row) {
            $code = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($row['name'])), '-');
            $free = '' === $code ? 'list' : substr($code, 0, 50);
            for ($n = 2; isset($codes[$free]); ++$n) {
                $free = substr($code, 0, 50)."-$n";
            }
            $codes[$free] = true;
            /** @var list<array{key: string, name: string, position: int, doer: string, days: int, from?: string, after?: list<string>}> $items */
            $items = json_decode($row['items'], true, 32, \JSON_THROW_ON_ERROR);
            usort($items, static fn (array $a, array $b): int => $a['position'] <=> $b['position']);
            $base ??= ['code' => $free, 'items' => $items];
            $joins = '';
            foreach ($base['code'] === $free ? [] : $base['items'] as $one) {
                if ([] !== $items && $one['position'] <= $items[0]['position']) {
                    $joins = "{$base['code']}/{$one['key']}";
                }
            }
            $own = array_column($items, 'key');
            $new = [];
            foreach ($items as $item) {
                $waits = [];
                foreach ($item['after'] ?? [] as $key) {
                    $waits[] = \in_array($key, $own, true) ? $key : "{$base['code']}/$key";
                }
                $new[] = [
                    'key' => $item['key'],
                    'name' => $item['name'],
                    'doer' => $item['doer'],
                    'takes' => 1,
                    'due' => ['from' => $item['from'] ?? 'accepted', 'amount' => $item['days'], 'unit' => 'days', 'item' => ''],
                    'waitsFor' => $waits,
                ];
            }
            $this->addSql('UPDATE checklist_template SET code = ?, joins_after = ?, items = ? WHERE id = ?', [$free, $joins, json_encode($new, \JSON_THROW_ON_ERROR), $row['id']]);
        }
    }
}
